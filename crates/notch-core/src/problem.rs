//! A refused field: which one, which value, what is allowed.

use serde::{Deserialize, Serialize};

/// One thing wrong with what was entered, told so that it can be mended at the field.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Problem {
    /// JSON pointer to the field, e.g. `/segments/3/minutes`.
    pub pointer: String,
    /// The refused value, as entered.
    pub value: String,
    /// What is allowed, in plain words.
    pub allowed: String,
    /// The whole sentence for a person.
    pub message: String,
}

impl Problem {
    /// Builds the sentence `{name}: {value} {why}; allowed: {allowed}`.
    pub fn new(pointer: impl Into<String>, name: &str, value: impl ToString, why: &str, allowed: impl Into<String>) -> Self {
        let (value, allowed) = (value.to_string(), allowed.into());
        let shown = if value.is_empty() { "nothing".to_owned() } else { format!("“{}”", clip(&value)) };
        Problem {
            pointer: pointer.into(),
            message: format!("{name}: {shown} {why}. Allowed: {allowed}."),
            value: clip(&value),
            allowed,
        }
    }

    /// Checks that a whole number lies in `least..=most`.
    pub fn unless_within(pointer: &str, name: &str, value: i64, least: i64, most: i64) -> Option<Self> {
        (!(least..=most).contains(&value))
            .then(|| Self::new(pointer, name, value, "is out of range", format!("{least} to {most}")))
    }

    /// Checks that a text, trimmed, has 1 to `most` characters and none that are control characters.
    pub fn unless_text(pointer: &str, name: &str, value: &str, most: usize) -> Option<Self> {
        let length = value.trim().chars().count();
        if length == 0 {
            Some(Self::new(pointer, name, "", "was given", format!("1 to {most} characters")))
        } else if length > most {
            let why = format!("has {length} characters");
            Some(Self::new(pointer, name, value, &why, format!("1 to {most} characters")))
        } else if value.chars().any(|c| c.is_control() && c != '\n') {
            Some(Self::new(pointer, name, "", "with unprintable characters", "printable text"))
        } else {
            None
        }
    }
}

/// Shortens a value for a message, so that a pasted page does not come back whole.
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

    #[test]
    fn a_range_is_inclusive_at_both_ends() {
        assert!(Problem::unless_within("/m", "minutes", 1, 1, 5).is_none());
        assert!(Problem::unless_within("/m", "minutes", 5, 1, 5).is_none());
        let problem = Problem::unless_within("/m", "minutes", 6, 1, 5).unwrap();
        assert_eq!(problem.message, "minutes: “6” is out of range. Allowed: 1 to 5.");
    }

    #[test]
    fn a_long_value_comes_back_clipped() {
        let problem = Problem::unless_text("/name", "name", &"x".repeat(500), 80).unwrap();
        assert!(problem.value.chars().count() <= 61);
        assert!(Problem::unless_text("/name", "name", "  ", 80).is_some());
        assert!(Problem::unless_text("/name", "name", "a\u{0}b", 80).is_some());
    }
}
