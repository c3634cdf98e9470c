//! Schools of one host: what they are called, and what the host says of each.

use std::fmt;
use std::str::FromStr;

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use thiserror::Error;

/// Most characters of a school's name.
const NAME: usize = 40;

/// Most characters of a host name, and of one part of it.
const HOST: (usize, usize) = (253, 63);

/// Most characters of what a school is called in full.
const TITLE: usize = 80;

/// Why a name is none; it says what was given and what is allowed.
#[derive(Clone, Debug, PartialEq, Eq, Error)]
pub enum SchoolNameError {
    /// Nothing, or too much.
    #[error("{what} has {found} characters; allowed: 1 to {most}")]
    Length {
        /// What was named.
        what: &'static str,
        /// How many characters it has.
        found: usize,
        /// How many it may have.
        most: usize,
    },
    /// A character that it may not have, or one in the wrong place.
    #[error("{what} is “{value}”; allowed: {allowed}")]
    Characters {
        /// What was named.
        what: &'static str,
        /// What was given.
        value: String,
        /// What it may be made of.
        allowed: &'static str,
    },
}

/// Lower-case letters, digits, and hyphens between them.
fn is_label(text: &str) -> bool {
    text.bytes().all(|byte| matches!(byte, b'a'..=b'z' | b'0'..=b'9' | b'-')) && !text.starts_with('-') && !text.ends_with('-')
}

/// Name of a school on its host: its folder, and a part of its address. Never anything that leads elsewhere.
#[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[serde(try_from = "String", into = "String")]
pub struct SchoolName(String);

impl SchoolName {
    /// The name.
    pub fn as_str(&self) -> &str {
        &self.0
    }
}

impl FromStr for SchoolName {
    type Err = SchoolNameError;

    fn from_str(text: &str) -> Result<Self, SchoolNameError> {
        let (what, found) = ("The school's name", text.chars().count());
        if !(1..=NAME).contains(&found) {
            return Err(SchoolNameError::Length { what, found, most: NAME });
        }
        if !is_label(text) {
            let allowed = "a to z, 0 to 9, and hyphens between them, such as lanternfish-2";
            return Err(SchoolNameError::Characters { what, value: text.to_owned(), allowed });
        }
        Ok(SchoolName(text.to_owned()))
    }
}

/// Name of a host under which a school is reached.
#[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[serde(try_from = "String", into = "String")]
pub struct HostName(String);

impl HostName {
    /// The name.
    pub fn as_str(&self) -> &str {
        &self.0
    }
}

impl FromStr for HostName {
    type Err = SchoolNameError;

    /// Names stand for the same host however they are written, large or small.
    fn from_str(text: &str) -> Result<Self, SchoolNameError> {
        let (what, found) = ("The host name", text.chars().count());
        if !(1..=HOST.0).contains(&found) {
            return Err(SchoolNameError::Length { what, found, most: HOST.0 });
        }
        let small = text.to_ascii_lowercase();
        if !small.split('.').all(|part| (1..=HOST.1).contains(&part.len()) && is_label(part)) {
            let allowed = "parts of a to z, 0 to 9 and hyphens with points between them, such as lanternfish.example.org";
            return Err(SchoolNameError::Characters { what, value: text.to_owned(), allowed });
        }
        Ok(HostName(small))
    }
}

macro_rules! written_as_text {
    ($($name:ty),*) => {$(
        impl fmt::Display for $name {
            fn fmt(&self, formatter: &mut fmt::Formatter<'_>) -> fmt::Result {
                formatter.write_str(&self.0)
            }
        }

        impl TryFrom<String> for $name {
            type Error = SchoolNameError;
            fn try_from(text: String) -> Result<Self, SchoolNameError> {
                text.parse()
            }
        }

        impl From<$name> for String {
            fn from(name: $name) -> String {
                name.0
            }
        }
    )*};
}

written_as_text!(SchoolName, HostName);

/// Whether a school is let in to.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case", rename_all_fields = "snake_case")]
pub enum Standing {
    /// Everybody who signs in.
    #[default]
    Open,
    /// Nobody, for the moment that its folder is worked on.
    Held {
        /// Since when.
        since: Timestamp,
    },
    /// Nobody; its data is kept.
    Archived,
    /// It is on another host now; its data here is what it was then.
    Moved {
        /// Address of the other host, where whoever asks here is sent on; none where what stands before both hosts
        /// knows the way.
        to: Option<String>,
    },
}

/// How much a school may take of its host.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(default, deny_unknown_fields)]
pub struct SchoolLimits {
    /// Size of its file from which on nothing more is written down, bytes.
    pub most_bytes: u64,
    /// Requests in a second that it may ask for lastingly; in one moment ten times as many.
    pub requests_a_second: u32,
}

impl Default for SchoolLimits {
    /// Two gigabytes: seven hundred thousand attempts. Two hundred requests a second, and two thousand in one moment:
    /// forty devices that are all opened as the class begins, each reading what it keeps for when there is no network.
    fn default() -> Self {
        SchoolLimits { most_bytes: 2_000_000_000, requests_a_second: 200 }
    }
}

/// What a host says of a school, in a file beside the school's own.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(default, deny_unknown_fields)]
pub struct SchoolCard {
    /// What it is called in full; the host's own words.
    pub title: String,
    /// Host names under which it is reached; where there are none, under `/s/` and its name.
    pub hosts: Vec<HostName>,
    /// Whether it is let in to.
    pub standing: Standing,
    /// How much it may take.
    pub limits: SchoolLimits,
}

impl SchoolCard {
    /// What is wrong with its title, if anything.
    pub fn check_title(title: &str) -> Result<(), SchoolNameError> {
        let found = title.chars().count();
        if found > TITLE {
            return Err(SchoolNameError::Length { what: "What the school is called", found, most: TITLE });
        }
        Ok(())
    }
}

/// A measure of what is asked in a time: it fills up lastingly, and each request takes one from it.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Allowance {
    left: f64,
    /// Milliseconds on the asker's clock.
    at: u64,
}

/// For how many seconds of nothing a school may ask at once.
const AT_ONCE: f64 = 10.0;

impl Allowance {
    /// Full, at a moment in milliseconds.
    pub fn full(limits: SchoolLimits, at: u64) -> Self {
        Allowance { left: f64::from(limits.requests_a_second) * AT_ONCE, at }
    }

    /// Takes one request at a moment in milliseconds; `false` where nothing is left. A clock that goes back adds nothing.
    pub fn take(&mut self, limits: SchoolLimits, at: u64) -> bool {
        let a_second = f64::from(limits.requests_a_second);
        let passed = u32::try_from(at.saturating_sub(self.at)).unwrap_or(u32::MAX);
        self.left = (self.left + a_second * f64::from(passed) / 1000.0).min(a_second * AT_ONCE);
        self.at = self.at.max(at);
        if self.left < 1.0 {
            return false;
        }
        self.left -= 1.0;
        true
    }
}
