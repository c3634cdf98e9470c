//! Fills a course: students, lessons, exercises, and a month of attempts with believable learning.

use jiff::{SignedDuration, Timestamp};
use notch_core::at_hand::AtHand;
use notch_core::catalogue::{Catalogue, Grip, Hold, Target, TargetSize, Third};
use notch_core::eligibility::barriers;
use notch_core::fitting::KnifeSource;
use notch_core::lesson::{first_segments, with_practice_for};
use notch_core::measure::{MeasuredPiece, SampleCustom, judge};
use notch_core::records::{
    AttemptMarks, ExerciseFields, IncidentFields, IncidentKind, Knife, LessonFields, Making, NewAttempt, StationPlace, Student,
    StudentFields,
};
use notch_core::units::Millimetres;
use notch_core::views::{
    Advice, AdviceChoice, CourseRecord, PlanQuestion, advise, check_choice, course_plan, lay_down, reference_seconds,
};
use notch_store::Writer;
use rand::Rng;
use rand_chacha::ChaCha8Rng;
use rand_distr::{Distribution, StandardNormal};

use crate::people::Person;
use crate::timetable::{PlannedCourse, PlannedExercise};
use crate::{DemoError, evening, moment};

/// Pieces of a blind sample.
const SAMPLE: usize = 10;

pub(crate) fn fill(
    writer: &Writer<'_>,
    catalogue: &Catalogue,
    plan: &PlannedCourse,
    random: &mut ChaCha8Rng,
) -> Result<(), DemoError> {
    refuse(plan.fields.check(catalogue))?;
    let course = writer.add_course(&plan.fields)?;
    let students = add_students(writer, course.id, plan.people)?;
    let knives = writer.knives()?;
    let at_hand = AtHand { catalogue, course: &course, students: &students, knives: &knives };
    let mut tries = vec![0; students.len()];
    for (number, lesson) in plan.lessons.iter().enumerate() {
        let fields = LessonFields {
            title: lesson.title.to_owned(),
            starts_at: lesson.starts_at,
            minutes: course.fields.lesson_minutes,
            segments: first_segments(catalogue, course.fields.lesson_minutes),
        };
        let kept = writer.add_lesson(course.id, &fields)?;
        let mut segments = kept.fields.segments.clone();
        let mut clock = moment(lesson.starts_at) + SignedDuration::from_mins(38);
        for (place, exercise) in lesson.exercises.iter().enumerate() {
            let (exercise_id, advice) = add_exercise(writer, &at_hand, kept.id, exercise)?;
            segments = with_practice_for(catalogue, &segments, exercise_id, advice.figures.minutes_needed);
            if let Some(practice) = segments.iter_mut().find(|segment| segment.exercise_id == Some(exercise_id)) {
                practice.minutes = exercise.practice.unwrap_or(practice.minutes);
            }
            for attempt in 0..exercise.attempts {
                for ((student, person), tries) in students.iter().zip(plan.people).zip(tries.iter_mut()) {
                    let planned_stop = plan.stops.iter().find(|stop| {
                        stop.student == person.name && stop.lesson == number && stop.exercise == place && stop.attempt == attempt
                    });
                    let scene = Scene {
                        writer,
                        at_hand: &at_hand,
                        advice: &advice,
                        lesson_id: kept.id,
                        exercise_id,
                        cut: exercise.cut,
                        start: clock,
                        on_day: lesson.starts_at.date(),
                    };
                    clock += SignedDuration::from_secs(4);
                    scene.play(student, person, *tries, planned_stop.map(|stop| stop.fault), random)?;
                    *tries += 1;
                }
                clock += SignedDuration::from_mins(6);
            }
        }
        let fields = LessonFields { segments, ..fields };
        writer.change_lesson(kept.id, kept.version, &fields)?;
        if let Some((_, name, words)) = plan.near_miss.filter(|(lesson, ..)| *lesson == number) {
            let who = students.iter().find(|student| student.fields.name == name);
            writer.add_incident(kept.id, clock, &near_miss(who, words))?;
        }
    }
    writer.place_stations(course.id, &room(&students))?;
    writer.set_goals(course.id, &plan.goals)?;
    draft(writer, &at_hand)
}

fn near_miss(who: Option<&Student>, words: &str) -> IncidentFields {
    IncidentFields {
        student_id: who.map(|student| student.id),
        kind: IncidentKind::NearMiss,
        words: words.to_owned(),
        place: who.map_or_else(String::new, |student| format!("station {}", student.fields.station)),
        first_aid: String::new(),
        aid_by: String::new(),
    }
}

/// Two benches on each side of an aisle, four stations to a row.
fn room(students: &[Student]) -> Vec<StationPlace> {
    let place = |student: &Student| {
        let nth = student.fields.station.saturating_sub(1);
        let x = [0, 280, 720, 1000].get(usize::from(nth % 4)).copied()?;
        Some(StationPlace { station: student.fields.station, x, y: [0, 330, 670, 1000].get(usize::from(nth / 4)).copied()? })
    };
    students.iter().filter_map(place).collect()
}

/// Fills the lessons to come by the draft, as the school's instructor would.
fn draft(writer: &Writer<'_>, at_hand: &AtHand<'_>) -> Result<(), DemoError> {
    let course = at_hand.course.id;
    let lessons = writer.lessons(course)?;
    let exercises = lessons.iter().map(|lesson| writer.exercises(lesson.id)).collect::<Result<Vec<_>, _>>()?.concat();
    let (goals, attempts) = (writer.goals(course)?, writer.attempts_of_course(course)?);
    // The lesson of this evening is planned already: what comes after it is drafted.
    let now = (evening() + SignedDuration::from_mins(60)).to_zoned(at_hand.course.fields.zone()).datetime();
    let record = CourseRecord { lessons: &lessons, exercises: &exercises, goals: &goals, attempts: &attempts, now };
    let question = PlanQuestion { draft: true, ..PlanQuestion::default() };
    let blocks = course_plan(at_hand, &record, &question, now.date())?.into_blocks();
    for change in lay_down(at_hand, &record, &blocks)? {
        writer.change_plan(at_hand.catalogue, &change)?;
    }
    Ok(())
}

fn refuse(problems: Vec<notch_core::Problem>) -> Result<(), DemoError> {
    if problems.is_empty() { Ok(()) } else { Err(problems.into()) }
}

fn add_students(writer: &Writer<'_>, course_id: i64, people: &[Person]) -> Result<Vec<Student>, DemoError> {
    let add = |(station, person): (u16, &Person)| {
        let fields = StudentFields {
            name: person.name.to_owned(),
            station,
            hand: person.hand,
            hand_size: person.hand_size,
            clearance: Millimetres::whole(person.clearance),
            special_clearance: person.special_clearance,
            allergies: person.allergies.iter().map(ToString::to_string).collect(),
            notes: person.notes.to_owned(),
        };
        refuse(fields.check())?;
        Ok(writer.add_student(course_id, &fields)?)
    };
    (1..).zip(people).map(add).collect()
}

fn add_exercise(
    writer: &Writer<'_>,
    at_hand: &AtHand<'_>,
    lesson_id: i64,
    plan: &PlannedExercise,
) -> Result<(i64, Advice), DemoError> {
    let choice = AdviceChoice {
        amount: Some(plan.amount),
        own_minutes: plan.own_minutes,
        ..AdviceChoice::asking(plan.food, plan.cut, KnifeSource::Rack)
    };
    let advice = advise(at_hand, &choice)?;
    let setup = advice.setup.as_ref();
    let fields = ExerciseFields {
        food: choice.food,
        cut: choice.cut,
        knife_type: setup.map_or_else(String::new, |setup| setup.knife_type.clone()),
        knife_length: setup.map_or(Millimetres::ZERO, |setup| setup.knife_length),
        grip: setup.map_or(Grip::Pinch, |setup| setup.grip),
        hold: setup.map_or(Hold::Claw, |setup| setup.hold),
        motion: setup.map_or(notch_core::catalogue::Motion::Push, |setup| setup.motion),
        third: setup.map_or(Third::Middle, |setup| setup.third),
        amount: plan.amount,
        own_minutes: plan.own_minutes,
        making: Making::default(),
    };
    let kept = check_choice(at_hand, &fields)?;
    Ok((writer.add_exercise(lesson_id, &fields, &kept)?.id, advice))
}

/// Where and when an attempt plays.
struct Scene<'a> {
    writer: &'a Writer<'a>,
    at_hand: &'a AtHand<'a>,
    advice: &'a Advice,
    lesson_id: i64,
    exercise_id: i64,
    cut: &'a str,
    start: Timestamp,
    on_day: jiff::civil::Date,
}

impl Scene<'_> {
    fn play(
        &self,
        student: &Student,
        person: &Person,
        tries: u32,
        stop: Option<&str>,
        random: &mut ChaCha8Rng,
    ) -> Result<(), DemoError> {
        let catalogue = self.at_hand.catalogue;
        let Some(knife) = self.knife_for(student) else { return Ok(()) };
        let Some(tolerance) = catalogue.tolerance(&self.at_hand.course.fields.tolerance) else { return Ok(()) };
        let reference = reference_seconds(self.advice);
        let flaw = person.keeps.powi(i32::try_from(tries).unwrap_or(i32::MAX));
        let new = NewAttempt {
            student_id: student.id,
            lesson_id: self.lesson_id,
            exercise_id: self.exercise_id,
            knife_id: knife.id,
            started_at: self.start,
            on_day: self.on_day,
            cut: self.cut.to_owned(),
            strand: catalogue.cut(self.cut).and_then(|cut| cut.strand),
            standard_set: self.at_hand.course.fields.standard_set.clone(),
            target: self.advice.target,
            tolerance: tolerance.clone(),
            reference_seconds: reference,
        };
        let attempt = self.writer.start_attempt(&new)?;
        let factor = (1.0 + (person.slow - 1.0) * flaw) * random.random_range(0.94..1.06);
        let took = SignedDuration::from_secs_f64(if stop.is_some() { 40.0 } else { reference.unwrap_or(240.0) * factor });
        self.writer.stop_attempt(attempt.id, self.start + took)?;
        for what in marks(person, flaw, tries, stop, random).each() {
            self.writer.add_mark(attempt.id, &what, self.start + took, None, None)?;
        }
        if stop.is_none() {
            let pieces = cut_pieces(&self.advice.target, person, flaw, random);
            let verdict = judge(catalogue, &self.advice.target, tolerance, SampleCustom::BlindTen, &pieces);
            self.writer.add_sample(
                attempt.id,
                SampleCustom::BlindTen,
                self.start + took + SignedDuration::from_mins(3),
                &pieces,
                &verdict,
            )?;
        }
        Ok(())
    }

    /// The longest knife that fits the exercise and the student's clearance.
    fn knife_for(&self, student: &Student) -> Option<&Knife> {
        let fits = |knife: &&Knife| {
            let choice = self.advice.knives.iter().find(|choice| choice.sharp && choice.numbers.contains(&knife.fields.number));
            let AtHand { catalogue, course, .. } = *self.at_hand;
            let may_have = |kind| barriers(student, course.fields.age_band, (kind, knife), None, &catalogue.progress).is_empty();
            choice.is_some_and(|choice| choice.fit.fits()) && catalogue.knife(&knife.fields.knife_type).is_some_and(may_have)
        };
        let longest = self.at_hand.knives.iter().filter(fits).map(|knife| knife.fields.length).reduce(Millimetres::longer)?;
        self.at_hand.knives.iter().filter(fits).find(|knife| knife.fields.length == longest)
    }
}

fn marks(person: &Person, flaw: f64, tries: u32, stop: Option<&str>, random: &mut ChaCha8Rng) -> AttemptMarks {
    let mut faults: Vec<String> = stop.map(ToString::to_string).into_iter().collect();
    let chance = (person.spread * flaw * 1.6).min(0.8);
    if random.random_bool(chance) {
        let polish = ["claw_drifts", "straight_down", "short_blade", "pace_ahead", "loose_grip"];
        if let Some(fault) = polish.get(random.random_range(0..polish.len())) {
            faults.push((*fault).to_owned());
        }
    }
    let sound = !faults.iter().any(|fault| fault == "loose_grip");
    AttemptMarks {
        grip_ticked: sound && (tries > 0 || person.spread < 0.2),
        hold_ticked: stop.is_none() && (tries > 0 || person.spread < 0.25),
        faults,
    }
}

/// Pieces with the person's bias and spread, drifting a little along the board.
fn cut_pieces(target: &Target, person: &Person, flaw: f64, random: &mut ChaCha8Rng) -> Vec<MeasuredPiece> {
    let side = |size: Option<TargetSize>, share: f64, random: &mut ChaCha8Rng| {
        let size = size?;
        let aim = match size {
            TargetSize::Below { limit } => limit.get() * 0.62,
            other => other.nominal().get(),
        };
        let noise: f64 = StandardNormal.sample(random);
        let measured = aim * (1.0 + share * flaw * (person.bias + person.spread * 0.8 * noise));
        Some(Millimetres::clamped((measured.max(0.4) * 20.0).round() / 20.0))
    };
    (0..SAMPLE)
        .map(|_| {
            let width = side(target.width, 1.0, random);
            let lean = random.random_range(-0.02..0.06) * flaw;
            MeasuredPiece {
                thickness: side(target.thickness, 1.0, random).unwrap_or(Millimetres::whole(5)),
                length: side(target.length, 0.35, random),
                far_width: width
                    .filter(|_| target.length != target.width)
                    .map(|width| Millimetres::clamped((width.get() * (1.0 + lean) * 20.0).round() / 20.0)),
                width,
            }
        })
        .collect()
}
