//! Lengths, and how people write them.

mod degrees;
mod deviation;
mod fitting_in;
mod millimetres;
mod parse;

pub use degrees::{AngleError, Degrees};
pub use deviation::Deviation;
pub(crate) use fitting_in::{SLACK, fits, times};
pub use millimetres::{LengthError, MM_PER_INCH, Millimetres};
pub use parse::{LengthParseError, parse_length};
