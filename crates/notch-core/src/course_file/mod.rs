//! A course as one file: all that was chosen, planned, made and measured in it, to be taken into another school.
//!
//! The file is whole by itself. Its records stand inside each other, and where one refers to another it says
//! its place in the list, counted from 0: no id of the school that wrote it. Its knives come along, so that each
//! attempt keeps the one that it was made with, and so do copied sizes, tolerances and foods that it uses; what
//! a school has edited of the shipped ones stays there. [`CourseFile::check`] tells everything that keeps a file
//! from being taken.

mod check;

use jiff::Timestamp;
use jiff::civil::{Date, DateTime};
use serde::{Deserialize, Serialize};

use crate::catalogue::{SegmentKind, Strand, Target, Tolerance};
use crate::draft::GoalFields;
use crate::measure::{MeasuredPiece, SampleCustom, Verdict};
use crate::own::OwnValue;
use crate::problem::Problem;
use crate::records::{
    AttemptMarks, Briefing, CheckTick, Closing, CourseFields, DemonstrationFields, ExerciseFields, IncidentKind, KeptRotation,
    KeptWarning, KnifeFields, Mark, MeasuredAgainst, ProduceFields, StationPlace, StoredSegment, StudentFields, TakenBack,
};
use crate::run::RunStep;
use crate::text;
use crate::text::Text;
use crate::words::of_number;

/// Name of the format, in every file.
pub const FORMAT: &str = "yard-notch-course";

/// The version of the format that is written, and the newest that is read.
pub const VERSION: u32 = 1;

/// A course as one file.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CourseFile {
    /// Always `yard-notch-course`.
    pub format: String,
    /// Version of the format: 1.
    pub version: u32,
    /// The course.
    pub course: CourseFields,
    /// Its goals.
    pub goals: Vec<GoalFields>,
    /// Copied sets of standards, tolerances and foods that it uses.
    pub own: Vec<OwnValue>,
    /// Knives that were used in it.
    pub knives: Vec<FileKnife>,
    /// Its students, those who left too.
    pub students: Vec<FileStudent>,
    /// Where its stations stand.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub room: Vec<StationPlace>,
    /// Its lessons, by number.
    pub lessons: Vec<FileLesson>,
}

/// A knife that was used.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileKnife {
    /// Its fields.
    #[serde(flatten)]
    pub fields: KnifeFields,
    /// No longer on the rack of the school that wrote the file.
    pub archived: bool,
}

/// A student.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileStudent {
    /// The fields, those of the person and the station.
    #[serde(flatten)]
    pub fields: StudentFields,
    /// Left the course.
    pub archived: bool,
}

/// A lesson with all that was planned for it and happened in it.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileLesson {
    /// Number in the course, from 1.
    pub number: u16,
    /// Title.
    pub title: String,
    /// Day and time by the school's clock.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-date-time"))]
    pub starts_at: DateTime,
    /// Minutes, 10 to 600.
    pub minutes: u16,
    /// Segments in order.
    pub segments: Vec<FileSegment>,
    /// Exercises, those taken out too.
    pub exercises: Vec<FileExercise>,
    /// Attempts in the order of time.
    pub attempts: Vec<FileAttempt>,
    /// Nicks and near-misses.
    pub incidents: Vec<FileIncident>,
    /// Briefings; each student is a place in `students`.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub briefings: Vec<Briefing>,
    /// What was announced of its rotation; each id is a place in `students`, `exercises` and `knives`.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub rotation: Option<KeptRotation>,
    /// What was done with its clock, in the order of time.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub run: Vec<FileRunStep>,
    /// What is said about its food; each exercise is a place in `exercises`.
    #[serde(default)]
    pub produce: ProduceFields,
    /// Ticks of the check sheet; a line about an exercise has its place in `exercises`.
    pub ticks: Vec<CheckTick>,
    /// Knives that went out.
    pub knives_out: Vec<FileKnifeOut>,
    /// How it was closed.
    pub closed: Option<Closing>,
    /// What was shown with a sharp and a dulled knife.
    pub demonstrations: Vec<FileDemonstration>,
}

/// What was done with the clock of a lesson.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileRunStep {
    /// When.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
    /// What; a part is its place in `segments`.
    pub step: RunStep,
}

/// A stretch of a lesson.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileSegment {
    /// What it is for.
    pub kind: SegmentKind,
    /// Minutes, 1 to 600.
    pub minutes: u16,
    /// Place of the exercise that is practised in it.
    pub exercise: Option<usize>,
    /// What the instructor calls it in place of its kind, 1 to 40 characters.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub own_name: Option<String>,
    /// Keeps its minutes when the lesson runs over.
    #[serde(default)]
    pub fixed: bool,
}

/// An exercise.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileExercise {
    /// Its fields.
    #[serde(flatten)]
    pub fields: ExerciseFields,
    /// Stays where it is when the course is drafted again.
    pub pinned: bool,
    /// Taken out of the lesson; kept for the attempts that were made.
    pub archived: bool,
    /// Warnings that the instructor kept.
    pub kept_warnings: Vec<KeptWarning>,
}

/// An attempt.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileAttempt {
    /// Place of the student in `students`.
    pub student: usize,
    /// Place of the exercise in the lesson's `exercises`.
    pub exercise: usize,
    /// Place of the knife in `knives`.
    pub knife: usize,
    /// Moment of the start.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub started_at: Timestamp,
    /// Moment of the stop.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub stopped_at: Timestamp,
    /// Day by the school's clock.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub on_day: Date,
    /// Id of the cut.
    pub cut: String,
    /// Strand that it counts for.
    pub strand: Option<Strand>,
    /// Id of the set of standards on that day.
    pub standard_set: String,
    /// Target sizes on that day.
    pub target: Target,
    /// Tolerance on that day.
    pub tolerance: Tolerance,
    /// Seconds of the reference pace for the set amount.
    pub reference_seconds: Option<f64>,
    /// What the marks come to; read where `made` holds none, as in files of earlier programs.
    #[serde(default)]
    pub marks: AttemptMarks,
    /// Marks in the order of time, those that were taken back too. The places of `instead_of` are not kept.
    #[serde(default)]
    pub made: Vec<Mark>,
    /// Samples in the order entered, those that were taken back too.
    pub samples: Vec<FileSample>,
}

/// A judged sample with its pieces.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileSample {
    /// How it was chosen.
    pub custom: SampleCustom,
    /// When it was entered.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub taken_at: Timestamp,
    /// Its pieces as they were measured.
    pub pieces: Vec<MeasuredPiece>,
    /// What it showed, by the figures of that day.
    pub verdict: Verdict,
    /// Who took it back.
    pub taken_back: Option<TakenBack>,
}

/// A nick or a near-miss.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileIncident {
    /// Place of the student in `students`, if one was part of it.
    pub student: Option<usize>,
    /// Kind.
    pub kind: IncidentKind,
    /// What happened, 1 to 400 characters.
    pub words: String,
    /// Where in the room, up to 80 characters.
    #[serde(default)]
    pub place: String,
    /// First aid that was given, up to 200 characters.
    #[serde(default)]
    pub first_aid: String,
    /// Who gave it, up to 60 characters.
    #[serde(default)]
    pub aid_by: String,
    /// When it was written down.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub happened_at: Timestamp,
    /// Who took it back.
    pub taken_back: Option<TakenBack>,
}

/// A knife that went out for a lesson.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileKnifeOut {
    /// Place of the knife in `knives`.
    pub knife: usize,
    /// When it went out.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub out_at: Timestamp,
    /// When it came in.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = DateTime))]
    pub in_at: Option<Timestamp>,
}

/// What was shown with a sharp and a dulled knife.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileDemonstration {
    /// When it was written down.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub shown_at: Timestamp,
    /// Its fields; each `knife_id` is the place of the knife in `knives`.
    #[serde(flatten)]
    pub fields: DemonstrationFields,
    /// What the pieces were measured against.
    pub against: MeasuredAgainst,
    /// Who took it back.
    pub taken_back: Option<TakenBack>,
}

/// The first lines of a file: whether it is one of ours that can be read at all.
#[derive(Clone, Debug, Deserialize)]
pub struct FileHead {
    /// Name of the format.
    #[serde(default)]
    pub format: String,
    /// Version of the format.
    #[serde(default)]
    pub version: u32,
}

impl FileHead {
    /// What keeps the file from being read; asked before anything else of it is.
    pub fn problem(&self) -> Option<Problem> {
        if self.format != FORMAT {
            return Some(Problem::new("/format", "The file", &self.format, "is no course of this program", FORMAT));
        }
        if self.version > VERSION {
            let newer = "was written by a newer version of this program";
            return Some(Problem::new("/version", "The file", self.version, newer, format!("version 1 to {VERSION}")));
        }
        Problem::unless_within("/version", "Version of the file", i64::from(self.version), 1, i64::from(VERSION))
    }
}

/// What a file holds, told before it is taken.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FileContents {
    /// Name of the course.
    pub name: String,
    /// School that wrote it.
    pub school: String,
    /// What it holds, and what becomes of it here.
    pub lines: Vec<Text>,
}

impl CourseFile {
    /// What it holds, and what becomes of it in a school whose rack is empty or not.
    pub fn contents(&self, rack_is_empty: bool) -> FileContents {
        let exercises = |lesson: &FileLesson| lesson.exercises.iter().filter(|exercise| !exercise.archived).count();
        let (present, left) = self.students.iter().partition::<Vec<_>, _>(|student| !student.archived);
        let attempts: usize = self.lessons.iter().map(|lesson| lesson.attempts.len()).sum();
        let mut lines = vec![
            text![
                of_number(self.lessons.len(), "lesson", "lessons"),
                " with ",
                of_number(self.lessons.iter().map(exercises).sum(), "exercise", "exercises"),
                "."
            ],
            text![
                of_number(present.len(), "student", "students"),
                if left.is_empty() { String::new() } else { format!(", and {} who left", left.len()) },
                ": they become people of this school, with what they have shown in this course."
            ],
            text![of_number(attempts, "attempt", "attempts"), ", each with the sizes and the tolerance of its day."],
        ];
        let on_rack = self.knives.iter().filter(|knife| !knife.archived).count();
        if rack_is_empty && on_rack > 0 {
            lines.push(text![of_number(on_rack, "knife", "knives"), " that were used go on the rack, which is empty."]);
        } else if !self.knives.is_empty() {
            let knives = of_number(self.knives.len(), "knife", "knives");
            lines.push(text![knives, " that were used are kept for the record, beside the rack and not on it."]);
        }
        if !self.own.is_empty() {
            let own: Vec<&str> = self.own.iter().map(OwnValue::name).collect();
            lines.push(text!["Copies of its own that it uses come along: ", own.join(", "), "."]);
        }
        FileContents { name: self.course.name.clone(), school: self.course.school.clone(), lines }
    }
}

impl FileSegment {
    /// A segment as it stands in the file.
    pub fn of(kept: &StoredSegment, exercise: Option<usize>) -> Self {
        let StoredSegment { kind, minutes, own_name, fixed, .. } = kept.clone();
        Self { kind, minutes, exercise, own_name, fixed }
    }

    /// The segment as it is kept, with the id that its exercise has.
    pub fn kept(&self, exercise_id: Option<i64>) -> StoredSegment {
        let Self { kind, minutes, own_name, fixed, .. } = self.clone();
        StoredSegment { kind, minutes, exercise_id, own_name, fixed }
    }
}
