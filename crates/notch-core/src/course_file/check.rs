//! Everything that keeps a file from being taken.

use std::collections::BTreeSet;

use jiff::tz::TimeZone;

use super::{CourseFile, FileAttempt, FileLesson, FileSample};
use crate::catalogue::Catalogue;
use crate::lesson::{PlannedSegment, lay_out};
use crate::measure::{MAX_PIECES, PieceLimits};
use crate::own::{OwnRecord, OwnValue, SetAside, in_force};
use crate::problem::Problem;
use crate::records::{IncidentFields, LessonFields, MOST_STUDENTS, TakenBack, check_room};
use crate::views::CheckSheet;

/// Most records of a kind in their list; more than any course has.
const MOST: usize = 20_000;

/// Most problems that are told: a file that is not what it should be has one for each line.
const MOST_TOLD: usize = 40;

type Problems = Vec<Problem>;

/// A place in a list that is not there.
fn outside(pointer: String, name: &str, place: usize, list: usize) -> Option<Problem> {
    (place >= list).then(|| Problem::new(pointer, name, place, "is not in the file", format!("a place in a list of {list}")))
}

fn under(pointer: &str, problems: impl IntoIterator<Item = Problem>) -> Problems {
    problems.into_iter().map(|problem| problem.under(pointer)).collect()
}

fn taken_back(pointer: &str, taken_back: Option<&TakenBack>) -> Problems {
    under(&format!("{pointer}/taken_back"), taken_back.map(|each| each.said.check()).unwrap_or_default())
}

impl CourseFile {
    /// Everything that keeps it from being taken into a school with so many values of its own.
    pub fn problems(&self, shipped: &Catalogue, kept: &[OwnRecord]) -> Problems {
        let edits = self.own.iter().enumerate().filter(|(_, value)| value.kind().is_shipped(shipped, value.id()));
        let edits: Problems = edits
            .map(|(index, value)| {
                let why = "is what every school has; a file brings copies alone";
                Problem::new(format!("/own/{index}"), "Copy of its own", value.id(), why, "ids of its own")
            })
            .collect();
        if !edits.is_empty() {
            return edits;
        }
        let is_new = |value: &&OwnValue| !kept.iter().any(|each| each.kind == value.kind() && each.id == value.id());
        let record =
            |value: &OwnValue| OwnRecord { kind: value.kind(), id: value.id().to_owned(), version: 1, value: Ok(value.clone()) };
        let mut all = kept.to_vec();
        all.extend(self.own.iter().filter(is_new).map(record));
        let with_its_own = in_force(shipped, &all);
        let of_file = |aside: &&SetAside| !kept.contains(&aside.record);
        let wrong: Problems =
            with_its_own.set_aside.iter().filter(of_file).flat_map(|aside| under("/own", aside.problems.clone())).collect();
        if wrong.is_empty() { self.check(&with_its_own.catalogue) } else { wrong }
    }

    /// Everything that keeps it from being taken with a catalogue: the school's, and what the file adds to it.
    ///
    /// What a course no longer teaches by the sizes that it has now is no problem; what nobody knows is one.
    pub fn check(&self, catalogue: &Catalogue) -> Problems {
        let mut found = self.too_many();
        if found.is_empty() {
            found.extend(under("/course", self.course.check(catalogue)));
            let last = self.lessons.iter().map(|lesson| lesson.number).max().unwrap_or(1);
            for (index, goal) in self.goals.iter().enumerate() {
                found.extend(goal.check(catalogue, last, &format!("/goals/{index}")));
            }
            for (index, knife) in self.knives.iter().enumerate() {
                found.extend(under(&format!("/knives/{index}"), knife.fields.check(catalogue)));
            }
            found.extend(self.students_at_stations());
            found.extend(check_room(&self.room).into_iter().map(|problem| problem.under("/room")));
            let mut numbers = BTreeSet::new();
            for (index, lesson) in self.lessons.iter().enumerate() {
                let pointer = format!("/lessons/{index}");
                if lesson.number == 0 || !numbers.insert(lesson.number) {
                    let allowed = "numbers from 1, each once";
                    found.push(Problem::new(format!("{pointer}/number"), "Number", lesson.number, "is taken", allowed));
                }
                found.extend(under(&pointer, self.lesson(lesson, catalogue)));
            }
        }
        found.truncate(MOST_TOLD);
        found
    }

    fn too_many(&self) -> Problems {
        let many = |pointer: String, name: &str, count: usize, most: usize| {
            (count > most).then(|| Problem::new(pointer, name, count, "are too many", format!("up to {most}")))
        };
        let present = self.students.iter().filter(|student| !student.archived).count();
        let lists = [
            many("/goals".into(), "Goals", self.goals.len(), 24),
            many("/own".into(), "Copies of its own", self.own.len(), 200),
            many("/knives".into(), "Knives", self.knives.len(), MOST),
            many("/students".into(), "Students", present, usize::from(MOST_STUDENTS)),
            many("/students".into(), "Students, with those who left", self.students.len(), MOST),
            many("/lessons".into(), "Lessons", self.lessons.len(), 1000),
        ];
        let of_lesson = |(index, lesson): (usize, &FileLesson)| {
            let at = |list: &str| format!("/lessons/{index}/{list}");
            [
                many(at("exercises"), "Exercises", lesson.exercises.len(), 400),
                many(at("attempts"), "Attempts", lesson.attempts.len(), MOST),
                many(at("ticks"), "Ticks", lesson.ticks.len(), MOST),
                many(at("incidents"), "Incidents", lesson.incidents.len(), MOST),
                many(at("briefings"), "Briefings", lesson.briefings.len(), 400),
            ]
        };
        lists.into_iter().chain(self.lessons.iter().enumerate().flat_map(of_lesson)).flatten().collect()
    }

    fn students_at_stations(&self) -> Problems {
        let mut found = Vec::new();
        let mut stations = BTreeSet::new();
        for (index, student) in self.students.iter().enumerate() {
            let pointer = format!("/students/{index}");
            found.extend(under(&pointer, student.fields.check()));
            if !student.archived && !stations.insert(student.fields.station) {
                let (pointer, station) = (format!("{pointer}/station"), student.fields.station);
                found.push(Problem::new(pointer, "Station", station, "is taken", "a station that is free"));
            }
        }
        found
    }

    fn lesson(&self, lesson: &FileLesson, catalogue: &Catalogue) -> Problems {
        let fields = LessonFields {
            title: lesson.title.clone(),
            starts_at: lesson.starts_at,
            minutes: lesson.minutes,
            segments: Vec::new(),
        };
        // What was held was held: by the clock of a zone a time can be missing that once was written down.
        let mut found = fields.check(&TimeZone::UTC);
        let segment = |place: usize| -> Option<PlannedSegment> {
            let segment = lesson.segments.get(place)?;
            let exercise_id = segment.exercise.and_then(|exercise| i64::try_from(exercise).ok());
            Some(segment.kept(exercise_id).into())
        };
        let segments: Vec<PlannedSegment> = (0..lesson.segments.len()).filter_map(segment).collect();
        found.extend(lay_out(catalogue, lesson.minutes, &segments).err().unwrap_or_default());
        for (index, segment) in lesson.segments.iter().enumerate() {
            let pointer = format!("/segments/{index}/exercise");
            found.extend(segment.exercise.and_then(|place| outside(pointer, "Exercise", place, lesson.exercises.len())));
        }
        for (index, exercise) in lesson.exercises.iter().enumerate() {
            found.extend(under(&format!("/exercises/{index}"), exercise.fields.check_known(catalogue)));
        }
        for (index, attempt) in lesson.attempts.iter().enumerate() {
            found.extend(under(&format!("/attempts/{index}"), self.attempt(lesson, attempt, catalogue)));
        }
        found.extend(self.incidents(lesson));
        found.extend(self.briefings(lesson));
        found.extend(self.counting(lesson));
        found.extend(self.rotation(lesson));
        for (index, kept) in lesson.run.iter().enumerate() {
            found.extend(under(&format!("/run/{index}/step"), kept.step.check()));
        }
        found.extend(under("/produce", lesson.produce.check()));
        let place = |id: i64| usize::try_from(id).ok().filter(|place| *place < lesson.exercises.len()).map(|_| id);
        if lesson.produce.with_ids(place) != lesson.produce {
            let allowed = "places in the list of exercises";
            found.push(Problem::new("/produce", "Produce", "", "has a place that is not in the file", allowed));
        }
        for (index, shown) in lesson.demonstrations.iter().enumerate() {
            let pointer = format!("/demonstrations/{index}");
            for (knife, work) in [("sharp", &shown.fields.sharp), ("dulled", &shown.fields.dulled)] {
                let place = usize::try_from(work.knife_id).unwrap_or(usize::MAX);
                found.extend(outside(format!("{pointer}/{knife}/knife_id"), "Knife", place, self.knives.len()));
            }
            found.extend(Problem::unless_text(&format!("{pointer}/who"), "Who showed it", &shown.fields.who, 60));
            found.extend(taken_back(&pointer, shown.taken_back.as_ref()));
        }
        found
    }

    fn attempt(&self, lesson: &FileLesson, attempt: &FileAttempt, catalogue: &Catalogue) -> Problems {
        let mut found: Problems = [
            outside("/student".into(), "Student", attempt.student, self.students.len()),
            outside("/exercise".into(), "Exercise", attempt.exercise, lesson.exercises.len()),
            outside("/knife".into(), "Knife", attempt.knife, self.knives.len()),
            catalogue
                .cut(&attempt.cut)
                .is_none()
                .then(|| Problem::new("/cut", "Cut", &attempt.cut, "is not known", "a cut of the catalogue")),
            (attempt.stopped_at < attempt.started_at).then(|| {
                let stopped = attempt.stopped_at.to_string();
                Problem::new("/stopped_at", "Stopped", stopped, "is before the start", "a later moment")
            }),
            attempt.reference_seconds.filter(|seconds| *seconds <= 0.0).map(|seconds| {
                Problem::new("/reference_seconds", "Seconds of the reference pace", seconds, "is out of range", "above 0")
            }),
        ]
        .into_iter()
        .flatten()
        .collect();
        found.extend(attempt.marks.check(catalogue));
        let made = attempt.made.iter().enumerate();
        found.extend(made.filter_map(|(at, mark)| mark.what.check(catalogue, &format!("/made/{at}/what"))));
        for (index, sample) in attempt.samples.iter().enumerate() {
            found.extend(under(&format!("/samples/{index}"), sample_problems(sample)));
        }
        found
    }

    fn briefings(&self, lesson: &FileLesson) -> Problems {
        let mut found = Vec::new();
        for (index, briefing) in lesson.briefings.iter().enumerate() {
            for (nth, student) in briefing.students.iter().enumerate() {
                let place = usize::try_from(*student).unwrap_or(usize::MAX);
                found.extend(outside(format!("/briefings/{index}/students/{nth}"), "Student", place, self.students.len()));
            }
        }
        found
    }

    fn incidents(&self, lesson: &FileLesson) -> Problems {
        let mut found = Vec::new();
        for (index, incident) in lesson.incidents.iter().enumerate() {
            let pointer = format!("/incidents/{index}");
            let student = format!("{pointer}/student");
            found.extend(incident.student.and_then(|place| outside(student, "Student", place, self.students.len())));
            let fields = IncidentFields {
                student_id: None,
                kind: incident.kind,
                words: incident.words.clone(),
                place: incident.place.clone(),
                first_aid: incident.first_aid.clone(),
                aid_by: incident.aid_by.clone(),
            };
            found.extend(under(&pointer, fields.check()));
            found.extend(taken_back(&pointer, incident.taken_back.as_ref()));
        }
        found
    }

    /// A rotation that was announced, with places that lead somewhere.
    fn rotation(&self, lesson: &FileLesson) -> Problems {
        let Some(rotation) = &lesson.rotation else { return Vec::new() };
        let place = |many: usize| move |id: i64| usize::try_from(id).ok().filter(|place| *place < many).map(|_| id);
        let known = rotation.with_ids(place(self.students.len()), place(lesson.exercises.len()), place(self.knives.len()));
        let mut found = under("/rotation", rotation.check());
        if known != *rotation || rotation.version < 1 {
            let allowed = "places in the lists of students, exercises and knives, and a version from 1";
            found.push(Problem::new("/rotation", "Rotation", "", "has a place that is not in the file", allowed));
        }
        let most = i64::try_from(self.students.len() * lesson.exercises.len()).unwrap_or(i64::MAX);
        let many = i64::try_from(rotation.announced.len()).unwrap_or(i64::MAX);
        found.extend(Problem::unless_within("/rotation/announced", "Turns", many, 0, most));
        found
    }

    fn counting(&self, lesson: &FileLesson) -> Problems {
        let mut found = Vec::new();
        let (mut lines, mut knives) = (BTreeSet::new(), BTreeSet::new());
        for (index, tick) in lesson.ticks.iter().enumerate() {
            let there = |place: i64| usize::try_from(place).ok().filter(|place| *place < lesson.exercises.len()).map(|_| place);
            let known = !tick.item.is_empty() && tick.item.len() <= 120 && CheckSheet::line_for(&tick.item, there).is_some();
            if !known || !lines.insert(&tick.item) {
                let pointer = format!("/ticks/{index}/item");
                found.push(Problem::new(pointer, "Line", &tick.item, "is not on a check sheet", "a line of it, each once"));
            }
            found.extend(Problem::unless_text(&format!("/ticks/{index}/who"), "Who is checking", &tick.who, 60));
        }
        for (index, out) in lesson.knives_out.iter().enumerate() {
            let pointer = format!("/knives_out/{index}");
            found.extend(outside(format!("{pointer}/knife"), "Knife", out.knife, self.knives.len()));
            if !knives.insert(out.knife) || out.in_at.is_some_and(|came| came < out.out_at) {
                let allowed = "each knife once, in after out";
                found.push(Problem::new(pointer, "Knife", out.knife, "went out twice, or came in before", allowed));
            }
        }
        if let Some(closing) = &lesson.closed {
            found.extend(Problem::unless_text("/closed/who", "Who closed it", &closing.who, 60));
        }
        found
    }
}

fn sample_problems(sample: &FileSample) -> Problems {
    let mut found = taken_back("", sample.taken_back.as_ref());
    let count = i64::try_from(sample.pieces.len()).unwrap_or(i64::MAX);
    found.extend(Problem::unless_within("/pieces", "Pieces", count, 0, i64::try_from(MAX_PIECES).unwrap_or(i64::MAX)));
    for (index, piece) in sample.pieces.iter().enumerate() {
        let sides = [Some(piece.thickness), piece.width, piece.length, piece.far_width];
        let wrong = sides.into_iter().flatten().find(|side| !(PieceLimits::LEAST..=PieceLimits::MOST).contains(&side.get()));
        found.extend(wrong.map(|side| {
            let allowed = format!("{} to {} mm", PieceLimits::LEAST, PieceLimits::MOST);
            Problem::new(format!("/pieces/{index}"), "Side of a piece", side, "is out of range", allowed)
        }));
    }
    found
}
