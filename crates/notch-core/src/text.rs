//! Sentences for people, as short lists of parts: words, and the lengths, weights, minutes and names in them.
//!
//! The core decides what is said and which parts of it are lengths; the screen decides the unit they are
//! shown in. Nothing reads a sentence back: what a program needs to know stands beside it as data.
//!
//! ```
//! use notch_core::text::Text;
//! use notch_core::units::Millimetres;
//!
//! let said = notch_core::text!["Clears a ", Millimetres::whole(50), " cut."];
//! assert_eq!(said.to_string(), "Clears a 50 mm cut.");
//! assert_eq!(serde_json::to_string(&said).unwrap(), r#"["Clears a ",{"length":50.0}," cut."]"#);
//! ```

use std::fmt;

use serde::{Deserialize, Deserializer, Serialize};

use crate::units::{Degrees, Deviation, LengthParseError, Millimetres, parse_length};

/// One part of a sentence.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(untagged)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Part {
    /// Words as they are.
    Words(String),
    /// A length, shown with its unit unless it is the first of several that share one.
    Length {
        /// The length.
        length: Millimetres,
        /// Shown without its unit, which follows a later length: `3 to 5 mm`.
        #[serde(default, skip_serializing_if = "is_false")]
        bare: bool,
    },
    /// How far a length is from another: always millimetres with its sign, since it is finer than a sixteenth.
    Offset {
        /// The difference.
        offset: Deviation,
    },
    /// Minutes.
    Minutes {
        /// How many.
        minutes: f64,
    },
    /// A weight.
    Mass {
        /// Grams.
        grams: f64,
    },
    /// The name of a person.
    Name {
        /// The name.
        name: String,
    },
}

#[allow(clippy::trivially_copy_pass_by_ref, reason = "the signature that serde asks for")]
const fn is_false(bare: &bool) -> bool {
    !*bare
}

/// A sentence, or several.
///
/// Read back from a plain text too, as sentences were kept before their lengths had a type.
#[derive(Clone, Debug, Default, PartialEq, Serialize)]
#[serde(transparent)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Text(Vec<Part>);

impl<'de> Deserialize<'de> for Text {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        #[derive(Deserialize)]
        #[serde(untagged)]
        enum Kept {
            Plain(String),
            Parts(Vec<Part>),
        }
        Ok(match Kept::deserialize(deserializer)? {
            Kept::Plain(words) => Text::from(words),
            Kept::Parts(parts) => Text(parts),
        })
    }
}

impl Text {
    /// Its parts, in order.
    pub fn parts(&self) -> &[Part] {
        &self.0
    }

    /// Whether nothing is said.
    pub fn is_empty(&self) -> bool {
        self.0.is_empty()
    }

    /// Says something after it.
    pub fn push(&mut self, more: impl Say) {
        more.say(self);
    }

    fn push_words(&mut self, words: &str) {
        if words.is_empty() {
            return;
        }
        match self.0.last_mut() {
            Some(Part::Words(before)) => before.push_str(words),
            _ => self.0.push(Part::Words(words.to_owned())),
        }
    }

    /// The same with its first letter large.
    #[must_use]
    pub fn capital(mut self) -> Text {
        if let Some(Part::Words(words)) = self.0.first_mut() {
            *words = crate::words::capital(words);
        }
        self
    }

    /// Texts one after the other, parted by `between`.
    pub fn joined(texts: impl IntoIterator<Item = Text>, between: &str) -> Text {
        let mut all = Text::default();
        for text in texts {
            if !all.is_empty() {
                all.push(between);
            }
            all.push(text);
        }
        all
    }
}

impl From<String> for Text {
    fn from(words: String) -> Text {
        crate::text![words]
    }
}

impl From<&str> for Text {
    fn from(words: &str) -> Text {
        crate::text![words]
    }
}

impl fmt::Display for Text {
    /// In millimetres, for logs, for the terminal and for those who ask over the API.
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        for part in &self.0 {
            match part {
                Part::Words(words) | Part::Name { name: words } => f.write_str(words)?,
                Part::Length { length, bare: true } => write!(f, "{length}")?,
                Part::Length { length, bare: false } => write!(f, "{length} mm")?,
                Part::Offset { offset } => write!(f, "{offset} mm")?,
                Part::Minutes { minutes } => write!(f, "{} min", Minutes(*minutes).as_said())?,
                Part::Mass { grams } => match Grams(*grams).as_said() {
                    kilos if kilos >= 1000.0 => write!(f, "{} kg", kilos / 1000.0)?,
                    grams => write!(f, "{grams} g")?,
                },
            }
        }
        Ok(())
    }
}

impl Text {
    /// A sentence of a data file, in which a length stands in braces: `the last {25 mm}`.
    ///
    /// # Errors
    /// Braces around something that is no length.
    pub fn of_data(marked: &str) -> Result<Text, LengthParseError> {
        let mut text = Text::default();
        let mut rest = marked;
        while let Some((before, after)) = rest.split_once('{') {
            let (length, behind) = after.split_once('}').ok_or(LengthParseError::NotALength)?;
            text.push(before);
            text.push(parse_length(length)?);
            rest = behind;
        }
        text.push(rest);
        Ok(text)
    }
}

/// Reads a sentence of a data file, as [`Text::of_data`].
pub(crate) fn marked<'de, D: Deserializer<'de>>(deserializer: D) -> Result<Text, D::Error> {
    let written = String::deserialize(deserializer)?;
    Text::of_data(&written).map_err(|why| serde::de::Error::custom(format!("“{written}” {why}")))
}

/// What can be said as a part of a sentence.
pub trait Say {
    /// Adds it to a text.
    fn say(&self, into: &mut Text);
}

impl<T: Say + ?Sized> Say for &T {
    fn say(&self, into: &mut Text) {
        (**self).say(into);
    }
}

impl<T: Say> Say for Option<T> {
    /// Nothing where there is nothing.
    fn say(&self, into: &mut Text) {
        if let Some(part) = self {
            part.say(into);
        }
    }
}

impl Say for str {
    fn say(&self, into: &mut Text) {
        into.push_words(self);
    }
}

impl Say for String {
    fn say(&self, into: &mut Text) {
        into.push_words(self);
    }
}

impl Say for Text {
    fn say(&self, into: &mut Text) {
        for part in &self.0 {
            match part {
                Part::Words(words) => into.push_words(words),
                part => into.0.push(part.clone()),
            }
        }
    }
}

impl Say for Millimetres {
    fn say(&self, into: &mut Text) {
        into.0.push(Part::Length { length: *self, bare: false });
    }
}

impl Say for Deviation {
    fn say(&self, into: &mut Text) {
        into.0.push(Part::Offset { offset: *self });
    }
}

/// A length whose unit follows with a later one: `3 to 5 mm`.
#[derive(Clone, Copy, Debug)]
pub struct Bare(pub Millimetres);

impl Say for Bare {
    fn say(&self, into: &mut Text) {
        into.0.push(Part::Length { length: self.0, bare: true });
    }
}

/// Minutes as a part.
#[derive(Clone, Copy, Debug)]
pub struct Minutes(pub f64);

impl Say for Minutes {
    fn say(&self, into: &mut Text) {
        into.0.push(Part::Minutes { minutes: self.0 });
    }
}

/// Grams as a part.
#[derive(Clone, Copy, Debug)]
pub struct Grams(pub f64);

impl Grams {
    /// As a cook says a weight that was worked out: to the gram, from 20 g to the nearest 5, from 200 g to
    /// the nearest 10, from a kilogram to the nearest tenth of one.
    pub fn as_said(self) -> f64 {
        let step = match self.0.abs() {
            grams if grams < 20.0 => 1.0,
            grams if grams < 200.0 => 5.0,
            grams if grams < 995.0 => 10.0,
            _ => 100.0,
        };
        (self.0 / step).round() * step
    }
}

impl Minutes {
    /// As a cook says them: to a tenth, from ten minutes whole.
    pub fn as_said(self) -> f64 {
        if self.0 >= 9.95 { self.0.round() } else { (self.0 * 10.0).round() / 10.0 }
    }
}

/// A number of pieces or strokes as a cook says it: whole, from 200 to the nearest ten, from a thousand to
/// the nearest fifty.
pub fn as_counted(number: f64) -> f64 {
    let step = match number.abs() {
        number if number < 200.0 => 1.0,
        number if number < 995.0 => 10.0,
        _ => 50.0,
    };
    (number / step).round() * step
}

impl Say for Grams {
    fn say(&self, into: &mut Text) {
        into.0.push(Part::Mass { grams: self.0 });
    }
}

/// A person's name as a part.
#[derive(Clone, Copy, Debug)]
pub struct Name<'a>(pub &'a str);

impl Say for Name<'_> {
    fn say(&self, into: &mut Text) {
        into.0.push(Part::Name { name: self.0.to_owned() });
    }
}

macro_rules! say_as_written {
    ($($kind:ty),*) => {
        $(impl Say for $kind {
            fn say(&self, into: &mut Text) {
                into.push_words(&self.to_string());
            }
        })*
    };
}

say_as_written!(u8, u16, u32, u64, usize, i32, i64, f64, jiff::civil::Date);

impl Say for Degrees {
    fn say(&self, into: &mut Text) {
        into.push_words(&format!("{self}°"));
    }
}

/// A sentence from its parts: words, lengths, numbers, other sentences.
#[macro_export]
macro_rules! text {
    ($($part:expr),* $(,)?) => {{
        #[allow(unused_mut)]
        let mut text = $crate::text::Text::default();
        $($crate::text::Say::say(&$part, &mut text);)*
        text
    }};
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn words_that_meet_are_one_part() {
        let said = text!["a ", 3u8, " b ", text!["c ", Millimetres::whole(5)], " d"];
        assert_eq!(said.parts().len(), 3);
        assert_eq!(said.to_string(), "a 3 b c 5 mm d");
    }

    #[test]
    fn figures_are_rounded_as_a_cook_says_them() {
        for (grams, said) in
            [(4.4, "4 g"), (47.9, "50 g"), (137.2, "135 g"), (996.0, "1 kg"), (1307.0, "1.3 kg"), (842.0, "840 g")]
        {
            assert_eq!(text![Grams(grams)].to_string(), said);
        }
        for (minutes, said) in [(3.44, "3.4 min"), (9.96, "10 min"), (12.7, "13 min"), (2.0, "2 min")] {
            assert_eq!(text![Minutes(minutes)].to_string(), said);
        }
        for (number, said) in [(36.0, 36.0), (207.0, 210.0), (1348.0, 1350.0)] {
            assert!((as_counted(number) - said).abs() < 1e-9);
        }
    }

    #[test]
    fn what_was_kept_as_plain_text_is_read() {
        let plain: Text = serde_json::from_str("\"210 mm is long\"").unwrap();
        assert_eq!(plain, Text::from("210 mm is long"));
        let said = text![Bare(Millimetres::whole(3)), " to ", Millimetres::whole(5), " for ", Name("Ann"), Minutes(12.0)];
        let back: Text = serde_json::from_str(&serde_json::to_string(&said).unwrap()).unwrap();
        assert_eq!(back, said);
        assert_eq!(said.to_string(), "3 to 5 mm for Ann12 min");
    }

    #[test]
    fn lengths_of_the_data_files_stand_in_braces() {
        let said = Text::of_data("Cut {13 mm} clear of it.").unwrap();
        assert_eq!(said, text!["Cut ", Millimetres::whole(13), " clear of it."]);
        assert!(Text::of_data("the last {bit}").is_err() && Text::of_data("the last {25 mm").is_err());
    }

    #[test]
    fn texts_are_joined_and_begun_large() {
        let all = Text::joined([Text::from("one"), Text::default(), text!["two ", Millimetres::whole(2)]], "; ");
        assert_eq!(all.capital().to_string(), "One; ; two 2 mm");
    }
}
