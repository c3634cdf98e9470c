//! Ask me: questions without end from the catalogue, the rules and what the course has at hand, each answered with the
//! reason that decides it. What was missed comes back. It never cuts a notch.

mod cautions;
mod faults;
mod knives;
mod outlines;
mod question;
mod round;
mod sizes;

pub use question::{AskInput, Choice, Question, Shown};
pub use round::{AskStanding, AskView, ask_view};
