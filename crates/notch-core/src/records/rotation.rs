//! The rotation of a lesson: what is known of the day, and what was announced.

use serde::{Deserialize, Serialize};

use crate::problem::Problem;

/// Most rounds that a lesson is planned with.
const MOST_ROUNDS: u16 = 200;

/// What is known of the day, beside who is in the course and what hangs on the rack.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(default)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RotationFields {
    /// Students who are not there.
    pub absent: Vec<i64>,
    /// Students who come late.
    pub late: Vec<LateStudent>,
    /// Knives that are out of this lesson: broken, dull, lent.
    pub knives_out: Vec<i64>,
    /// Turns that are held where they are.
    pub pins: Vec<PinnedTurn>,
    /// Rounds that are over: what was announced for them is done.
    pub rounds_done: u16,
    /// Minutes of practice that were lost, 0 to 240.
    pub minutes_lost: u16,
    /// Planned anew, whatever was announced for the rounds to come.
    pub anew: bool,
}

/// A student who comes late.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LateStudent {
    /// The student.
    pub student_id: i64,
    /// First round that the student is there for, from 1.
    pub from_round: u16,
}

/// A student's exercise that is held in its round.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PinnedTurn {
    /// The student.
    pub student_id: i64,
    /// The exercise.
    pub exercise_id: i64,
    /// The round, from 1.
    pub round: u16,
    /// The knife, where it is held too.
    pub knife_id: Option<i64>,
}

/// A student's exercise as it was announced.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AnnouncedTurn {
    /// The student.
    pub student_id: i64,
    /// The exercise.
    pub exercise_id: i64,
    /// The round, from 1.
    pub round: u16,
    /// The knife.
    pub knife_id: i64,
}

/// The rotation of a lesson as kept.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KeptRotation {
    /// Rises with each change; 0 while nothing was announced.
    pub version: i64,
    /// What was known of the day.
    #[serde(flatten)]
    pub fields: RotationFields,
    /// What was announced.
    pub announced: Vec<AnnouncedTurn>,
}

impl RotationFields {
    /// Problems of its figures; ids that lead nowhere any more are passed over, since students leave and knives go.
    pub fn check(&self) -> Vec<Problem> {
        let round =
            |pointer: String, round: u16| Problem::unless_within(&pointer, "Round", i64::from(round), 1, i64::from(MOST_ROUNDS));
        let late = self.late.iter().enumerate();
        let pins = self.pins.iter().enumerate();
        late.filter_map(|(at, late)| round(format!("/late/{at}/from_round"), late.from_round))
            .chain(pins.filter_map(|(at, pin)| round(format!("/pins/{at}/round"), pin.round)))
            .chain(Problem::unless_within(
                "/rounds_done",
                "Rounds that are over",
                i64::from(self.rounds_done),
                0,
                i64::from(MOST_ROUNDS),
            ))
            .chain(Problem::unless_within("/minutes_lost", "Minutes lost", i64::from(self.minutes_lost), 0, 240))
            .collect()
    }
}

impl KeptRotation {
    /// Problems of its figures, those of what was announced too.
    pub fn check(&self) -> Vec<Problem> {
        let turns = self.announced.iter().enumerate();
        let rounds = turns.filter_map(|(at, turn)| {
            let pointer = format!("/announced/{at}/round");
            Problem::unless_within(&pointer, "Round", i64::from(turn.round), 1, i64::from(MOST_ROUNDS))
        });
        self.fields.check().into_iter().chain(rounds).collect()
    }

    /// The same with other ids, for a file or from one; what leads nowhere is left out.
    #[must_use]
    pub fn with_ids(
        &self,
        student: impl Fn(i64) -> Option<i64>,
        exercise: impl Fn(i64) -> Option<i64>,
        knife: impl Fn(i64) -> Option<i64>,
    ) -> KeptRotation {
        let late = |late: &LateStudent| Some(LateStudent { student_id: student(late.student_id)?, ..*late });
        let pin = |pin: &PinnedTurn| {
            let knife_id = pin.knife_id.and_then(&knife);
            Some(PinnedTurn { student_id: student(pin.student_id)?, exercise_id: exercise(pin.exercise_id)?, knife_id, ..*pin })
        };
        let announced = |turn: &AnnouncedTurn| {
            let (student_id, exercise_id) = (student(turn.student_id)?, exercise(turn.exercise_id)?);
            Some(AnnouncedTurn { student_id, exercise_id, knife_id: knife(turn.knife_id)?, ..*turn })
        };
        KeptRotation {
            version: self.version,
            fields: RotationFields {
                absent: self.fields.absent.iter().filter_map(|id| student(*id)).collect(),
                late: self.fields.late.iter().filter_map(late).collect(),
                knives_out: self.fields.knives_out.iter().filter_map(|id| knife(*id)).collect(),
                pins: self.fields.pins.iter().filter_map(pin).collect(),
                ..self.fields
            },
            announced: self.announced.iter().filter_map(announced).collect(),
        }
    }
}
