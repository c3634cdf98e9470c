//! A refused field: which one, which value, what is allowed.

use serde::{Deserialize, Serialize};

use crate::text;
use crate::text::{Say, Text};

/// One thing wrong with what was entered, told so that it can be mended at the field.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Problem {
    /// JSON pointer to the field, e.g. `/segments/3/minutes`.
    pub pointer: String,
    /// The field as it is labelled on the screen.
    pub name: String,
    /// The refused value, as entered.
    pub value: String,
    /// What is allowed, in plain words.
    pub allowed: String,
    /// Id of the rule that refuses, where one does.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub rule: Option<String>,
    /// The whole sentence for a person, with its lengths.
    pub sentence: Text,
    /// The same sentence in millimetres.
    pub message: String,
}

impl Problem {
    /// Builds the sentence `{name}: {value} {why}. Allowed: {allowed}.`
    pub fn new(pointer: impl Into<String>, name: &str, value: impl Say, why: impl Say, allowed: impl Say) -> Self {
        let (value, allowed) = (text![value], text![allowed]);
        let clipped = clip(&value.to_string());
        let shown = match value.parts() {
            [] => Text::from("nothing"),
            [text::Part::Words(_)] => text!["“", clipped, "”"],
            _ => value,
        };
        let sentence = text![name, ": ", shown, " ", why, ". Allowed: ", allowed, "."];
        Problem {
            pointer: pointer.into(),
            name: name.to_owned(),
            value: clipped,
            allowed: allowed.to_string(),
            rule: None,
            message: sentence.to_string(),
            sentence,
        }
    }

    /// A refusal whose whole sentence is given.
    pub fn said(pointer: impl Into<String>, name: &str, value: impl Say, sentence: Text, allowed: impl Say) -> Self {
        Problem {
            pointer: pointer.into(),
            name: name.to_owned(),
            value: clip(&text![value].to_string()),
            allowed: text![allowed].to_string(),
            rule: None,
            message: sentence.to_string(),
            sentence,
        }
    }

    /// The same, refused by a rule.
    #[must_use]
    pub fn by_rule(self, rule: &str) -> Self {
        Problem { rule: Some(rule.to_owned()), ..self }
    }

    /// The same with words before its sentence, such as the line of a table.
    #[must_use]
    pub fn after(self, lead: impl Say) -> Self {
        let sentence = text![lead, self.sentence];
        Problem { message: sentence.to_string(), sentence, ..self }
    }

    /// The same at a field below `pointer`.
    #[must_use]
    pub fn under(self, pointer: &str) -> Self {
        Problem { pointer: format!("{pointer}{}", self.pointer), ..self }
    }

    /// Checks that a whole number lies in `least..=most`.
    pub fn unless_within(pointer: &str, name: &str, value: i64, least: i64, most: i64) -> Option<Self> {
        (!(least..=most).contains(&value))
            .then(|| Self::new(pointer, name, value, "is out of range", format!("{least} to {most}")))
    }

    /// The same of a text that may be left out.
    pub fn unless_short(pointer: &str, name: &str, value: &str, most: usize) -> Option<Self> {
        if value.trim().is_empty() { None } else { Self::unless_text(pointer, name, value, most) }
    }

    /// Checks that a text, trimmed, has 1 to `most` characters and none that are control characters.
    pub fn unless_text(pointer: &str, name: &str, value: &str, most: usize) -> Option<Self> {
        let length = value.trim().chars().count();
        if length == 0 {
            Some(Self::new(pointer, name, "", "was given", format!("1 to {most} characters")))
        } else if length > most {
            Some(Self::new(pointer, name, value, format!("has {length} characters"), format!("1 to {most} characters")))
        } else if !value.chars().any(is_visible) {
            Some(Self::new(pointer, name, "", "that can be seen was given", format!("1 to {most} characters")))
        } else if value.chars().any(|c| c.is_control() && c != '\n' || turns_direction(c)) {
            Some(Self::new(pointer, name, "", "with unprintable characters", "printable text"))
        } else {
            None
        }
    }
}

/// Shortens a value for a message, so that a pasted page does not come back whole.
/// Takes up room on a page: no blank, no control, nothing of no width.
fn is_visible(c: char) -> bool {
    !c.is_whitespace()
        && !c.is_control()
        && !matches!(c, '\u{AD}' | '\u{34F}' | '\u{115F}' | '\u{1160}' | '\u{17B4}' | '\u{17B5}' | '\u{180B}'..='\u{180F}' | '\u{200B}'..='\u{200F}' | '\u{202A}'..='\u{202E}' | '\u{2060}'..='\u{206F}' | '\u{2800}' | '\u{3164}' | '\u{FE00}'..='\u{FE0F}' | '\u{FEFF}' | '\u{FFA0}' | '\u{E0000}'..='\u{E0FFF}')
}

/// Turns the direction of what follows it, so that a name would read as another.
const fn turns_direction(c: char) -> bool {
    matches!(c, '\u{202A}'..='\u{202E}' | '\u{2066}'..='\u{2069}')
}

fn clip(value: &str) -> String {
    const MOST: usize = 60;
    let mut clipped: String = value.chars().filter(|c| !c.is_control()).take(MOST).collect();
    if value.chars().count() > MOST {
        clipped.push('…');
    }
    clipped
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::text::Bare;
    use crate::units::Millimetres;

    #[test]
    fn a_range_is_inclusive_at_both_ends() {
        assert!(Problem::unless_within("/m", "Minutes", 1, 1, 5).is_none());
        assert!(Problem::unless_within("/m", "Minutes", 5, 1, 5).is_none());
        let problem = Problem::unless_within("/m", "Minutes", 6, 1, 5).unwrap();
        assert_eq!(problem.message, "Minutes: “6” is out of range. Allowed: 1 to 5.");
    }

    #[test]
    fn a_long_value_comes_back_clipped() {
        let problem = Problem::unless_text("/name", "Name", &"x".repeat(500), 80).unwrap();
        assert!(problem.value.chars().count() <= 61);
        assert!(Problem::unless_text("/name", "Name", "  ", 80).is_some());
        assert!(Problem::unless_text("/name", "Name", "a\u{0}b", 80).is_some());
    }

    #[test]
    fn a_name_can_be_seen_and_reads_as_it_is_written() {
        let refused = |name: &str| Problem::unless_text("/name", "Name", name, 80).is_some();
        for unseen in ["\u{200B}", "\u{2060}\u{FEFF} ", "\u{3164}", "\u{AD}\u{200D}"] {
            assert!(refused(unseen), "{unseen:?}");
        }
        for turned in ["Ann\u{202E}", "\u{2067}Ben\u{2069}"] {
            assert!(refused(turned), "{turned:?}");
        }
        for name in ["Ann", "Åsa", "李雷", "נועה", "محمد", "O'Neill", "👩\u{200D}🍳 Noor", "न\u{200D}"] {
            assert!(!refused(name), "{name:?}");
        }
    }

    #[test]
    fn lengths_keep_their_type_to_the_screen() {
        let range = text![Bare(Millimetres::whole(60)), " to ", Millimetres::whole(400)];
        let problem = Problem::new("/clearance", "Blade clearance", Millimetres::whole(500), "is out of range", range);
        assert_eq!(problem.message, "Blade clearance: 500 mm is out of range. Allowed: 60 to 400 mm.");
        assert_eq!(problem.sentence.parts().iter().filter(|part| matches!(part, text::Part::Length { .. })).count(), 3);
        assert_eq!(problem.value, "500 mm");
    }
}
