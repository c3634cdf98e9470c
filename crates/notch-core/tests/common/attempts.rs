//! Attempts of one student, on the day of the lesson.

use jiff::Timestamp;
use jiff::civil::date;
use notch_core::measure::{SampleCustom, judge, parse_pieces};
use notch_core::records::{Attempt, AttemptMarks, Mark, Sample};

use super::CATALOGUE;

fn at(text: &str) -> Timestamp {
    text.parse().unwrap()
}

/// An attempt of the first student that runs.
pub fn attempt(id: i64, cut: &str) -> Attempt {
    Attempt {
        id,
        student_id: 1,
        lesson_id: 1,
        exercise_id: 1,
        knife_id: 1,
        version: 1,
        started_at: at("2026-10-06T17:40:00Z"),
        stopped_at: None,
        seconds: None,
        on_day: date(2026, 10, 6),
        cut: cut.to_owned(),
        strand: CATALOGUE.cut(cut).unwrap().strand,
        standard_set: "eighth".into(),
        target: CATALOGUE.target("eighth", cut).unwrap(),
        tolerance: CATALOGUE.tolerance("school").unwrap().clone(),
        reference_seconds: Some(180.0),
        marks: AttemptMarks::default(),
        made: Vec::new(),
        samples: Vec::new(),
        taken_back: Vec::new(),
    }
    .marked(AttemptMarks { grip_ticked: true, hold_ticked: true, faults: Vec::new() })
}

/// Marks made in place of all others.
pub trait Marked {
    /// The attempt with marks that come to these.
    fn marked(self, marks: AttemptMarks) -> Attempt;
}

impl Marked for Attempt {
    fn marked(self, marks: AttemptMarks) -> Attempt {
        let mark = |(id, what)| Mark { id, what, at: self.started_at, by: None, taken_back: None, instead_of: None };
        let made: Vec<Mark> = (1..).zip(marks.each()).map(mark).collect();
        Attempt { marks: AttemptMarks::of(&made), made, ..self }
    }
}

/// An attempt that was stopped after so many seconds.
pub fn stopped(id: i64, cut: &str, seconds: f64) -> Attempt {
    Attempt { stopped_at: Some(at("2026-10-06T17:46:00Z")), seconds: Some(seconds), ..attempt(id, cut) }
}

/// Pieces as they are typed, judged by the usual sizes.
pub fn sample(custom: SampleCustom, cut: &str, pieces: &str) -> Sample {
    let target = CATALOGUE.target("eighth", cut).unwrap();
    let tolerance = CATALOGUE.tolerance("school").unwrap();
    let verdict = judge(&CATALOGUE, &target, tolerance, custom, &parse_pieces(pieces).unwrap());
    Sample { id: 1, attempt_id: 1, custom, taken_at: at("2026-10-06T17:47:00Z"), verdict, taken_back: None }
}

/// Pieces taken unseen.
pub fn blind(cut: &str, pieces: &str) -> Sample {
    sample(SampleCustom::BlindTen, cut, pieces)
}
