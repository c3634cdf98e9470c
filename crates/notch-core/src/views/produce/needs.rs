//! How much food each exercise takes: what others leave for it first, then as many units as nine in ten need.

use serde::Serialize;

use super::input::ProduceInput;
use crate::at_hand::AtHand;
use crate::catalogue::{Cut, Food, ProduceSize, Target};
use crate::lesson::{ClassSize, ExerciseFigures, Onward, Parts, exercise_figures, good_at_least, onward, pieces_to_cut};
use crate::records::{Amount, ExerciseFields, Student};
use crate::text;
use crate::text::Text;
use crate::views::order::units_in_words;
use crate::words::of_number;

/// Pieces of each student that stay to be measured.
const KEPT_TO_MEASURE: u32 = 10;

/// What one student cuts of an exercise.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StudentNeed {
    /// The student.
    pub student_id: i64,
    /// Name.
    pub name: String,
    /// Share that is expected to come out good, from the latest blind pieces of this cut.
    pub share: f64,
    /// Blind pieces that it is expected from; 0 where it is the class's share.
    pub seen: u32,
    /// Pieces to cut.
    pub to_cut: u32,
    /// Good ones among them, in nine of ten cases at least.
    pub good: u32,
    /// Pieces that are made of what an earlier exercise left.
    pub fed: u32,
}

/// What an exercise takes.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ExerciseNeed {
    /// The exercise, by id.
    pub exercise_id: i64,
    /// `Julienne of carrot`.
    pub title: String,
    /// Id of the food.
    pub food: String,
    /// Pieces that each student cuts as planned; none where they are not counted.
    pub pieces_each: Option<u32>,
    /// Good pieces that are wanted of each.
    pub good_wanted: Option<u32>,
    /// Pieces that a student who cuts as the class does must cut for them.
    pub to_cut: Option<u32>,
    /// Minutes that these take each beyond what the lesson plans for the exercise; none where it is not more, or where
    /// the instructor set the minutes.
    pub minutes_more: Option<u32>,
    /// The exercise that it is fed by, by id.
    pub fed_by: Option<i64>,
    /// Each student who cuts it; empty where pieces are not counted.
    pub students: Vec<StudentNeed>,
    /// Students who cut it.
    pub count: u32,
    /// Units for them.
    pub units_students: u32,
    /// Units that are saved by what an earlier exercise leaves.
    pub units_fed: u32,
    /// Units to show.
    pub units_demonstration: u32,
    /// Grams that the students cut, as bought.
    pub grams_students: f64,
    /// Units, and parts of them, that each student cuts.
    #[serde(skip)]
    #[cfg_attr(feature = "openapi", schema(ignore))]
    pub(super) parts: Parts,
    /// How it comes to that, in words.
    pub words: Vec<Text>,
}

/// One exercise with all that its need is worked out from.
pub(super) struct Worked<'a> {
    pub exercise_id: i64,
    pub title: String,
    pub figures: ExerciseFigures,
    /// How much each cuts.
    pub amount: Amount,
    /// As it is bought for it.
    pub food: Food,
    /// As it is counted.
    pub peeled: Food,
    pub size: ProduceSize,
    pub cut: &'a Cut,
    pub target: Target,
    /// Who cuts it: nobody who is allergic to it.
    pub students: Vec<&'a Student>,
}

impl<'a> Worked<'a> {
    /// An exercise of a food for some students; none where the course teaches the cut no more. How many knives there
    /// are makes no difference to the food.
    pub(super) fn of(
        at_hand: &AtHand<'a>,
        (exercise_id, fields): (i64, &ExerciseFields),
        food: &Food,
        students: Vec<&'a Student>,
    ) -> Option<Self> {
        let cut = at_hand.catalogue.cut(&fields.cut)?;
        let target = fields.making.target(at_hand.target_of(cut, food)?);
        let title = cut.of(&food.name);
        let food = fields.making.food(food);
        let peeled = fields.making.peeled(&food, cut);
        let work = crate::lesson::Worked { bought: &food, peeled: &peeled, cut, target: &target, way: fields.making.way };
        let class = ClassSize { students: students.len() as u32, ..at_hand.class_with(1) };
        let handling = &at_hand.catalogue.handling;
        let figures = exercise_figures(work, fields.amount, class, at_hand.course.fields.pace, fields.own_minutes, handling);
        Some(Worked {
            exercise_id,
            title,
            figures,
            amount: fields.amount,
            size: fields.making.produce,
            cut,
            target,
            students,
            peeled,
            food,
        })
    }

    /// Pieces that each cuts: those that are set, else all of the units; none where pieces are not counted.
    fn pieces_each(&self) -> Option<u32> {
        let of_units = self.figures.pieces_each.filter(|_| self.figures.pieces_per_unit.is_some_and(|pieces| pieces > 0))?;
        Some(match self.amount {
            Amount::Pieces { count } => u32::from(count),
            Amount::Units { .. } | Amount::Grams { .. } => of_units,
        })
    }

    /// A number of pieces is set, not of units.
    fn sets_pieces(&self) -> bool {
        matches!(self.amount, Amount::Pieces { .. })
    }

    /// Grams of peel of one unit.
    pub(super) fn peel(&self) -> f64 {
        (self.food.grams() - self.peeled.grams()).max(0.0)
    }
}

/// What goes from one exercise into a later one.
#[derive(Clone, Copy, Debug)]
pub(super) struct Fed {
    /// Index of the one that it comes of.
    pub from: usize,
    /// Index of the one that it goes into.
    pub into: usize,
    /// Share of what the first one leaves that goes on.
    pub share: f64,
    /// Share of the later one that is made of it, by weight.
    pub covers: f64,
}

/// The exercises that can be worked out, in the order of the lesson.
pub(super) fn worked<'a>(input: &ProduceInput<'a>) -> Vec<Worked<'a>> {
    let at_hand = input.at_hand;
    let order = |id: i64| {
        let place = input.lesson.fields.segments.iter().position(|segment| segment.exercise_id == Some(id));
        place.unwrap_or(usize::MAX)
    };
    let mut found: Vec<Worked<'a>> = input
        .exercises
        .iter()
        .filter_map(|exercise| {
            let food = at_hand.catalogue.food(&exercise.fields.food)?;
            let students = at_hand.students.iter().filter(|student| !student.fields.may_not_have(food)).collect();
            Worked::of(at_hand, (exercise.id, &exercise.fields), food, students)
        })
        .collect();
    found.sort_by_key(|worked| (order(worked.exercise_id), worked.exercise_id));
    found
}

/// How an exercise is fed: by the earlier one of the same food from which it can be made, whose pieces nobody took.
fn feeder(all: &[Worked<'_>], into: usize, taken: &[Fed]) -> Option<(usize, Onward)> {
    let to = all.get(into)?;
    let before = all.iter().enumerate().take(into).rev();
    before.filter(|(index, _)| taken.iter().all(|fed| fed.from != *index)).find_map(|(index, from)| {
        (from.food.id == to.food.id).then(|| onward((from.cut, &from.target), (to.cut, &to.target)))?.map(|how| (index, how))
    })
}

/// The needs of all exercises, and what goes from one into another.
pub(super) fn needs(input: &ProduceInput<'_>, all: &[Worked<'_>]) -> (Vec<ExerciseNeed>, Vec<Fed>) {
    let mut found: Vec<ExerciseNeed> = Vec::new();
    let mut taken: Vec<Fed> = Vec::new();
    for (index, worked) in all.iter().enumerate() {
        let fed = feeder(all, index, &taken);
        let (need, goes) = need(input, worked, fed.map(|(from, how)| (from, how, found.get(from))), index);
        taken.extend(goes);
        found.push(need);
    }
    (found, taken)
}

/// What each student cuts: what is planned, or more where that is needed for the good pieces that are wanted.
fn of_students(input: &ProduceInput<'_>, worked: &Worked<'_>, each: u32, wanted: Option<u32>) -> Vec<StudentNeed> {
    let of = |student: &&Student| {
        let good = input.shares.share(student.id, &worked.cut.id);
        let for_good = wanted.and_then(|wanted| pieces_to_cut(wanted, good.share).ok()).unwrap_or(0);
        let to_cut = each.max(for_good);
        StudentNeed {
            student_id: student.id,
            name: student.fields.name.clone(),
            share: good.share,
            seen: good.seen,
            to_cut,
            good: good_at_least(to_cut, good.share),
            fed: 0,
        }
    };
    worked.students.iter().map(of).collect()
}

type Feeder<'a> = Option<(usize, Onward, Option<&'a ExerciseNeed>)>;

fn need(input: &ProduceInput<'_>, worked: &Worked<'_>, feeder: Feeder<'_>, index: usize) -> (ExerciseNeed, Option<Fed>) {
    let figures = &worked.figures;
    let id = worked.exercise_id;
    let wanted = input.fields.good_of(id);
    let counted = worked.pieces_each().zip(figures.pieces_per_unit);
    let mut students = counted.map(|(each, _)| of_students(input, worked, each, wanted)).unwrap_or_default();
    let goes = feeder.and_then(|(from, how, need)| feed(&mut students, need?, how, (from, index), worked));
    let by_weight = goes.map_or(0.0, |fed| fed.covers);
    let part = |index: usize, fed: bool| match (counted, students.get(index)) {
        (Some((each, per_unit)), Some(student)) => {
            let set = worked.sets_pieces() || student.to_cut > each || fed;
            let left = student.to_cut.saturating_sub(if fed { student.fed } else { 0 });
            if set { f64::from(left) / f64::from(per_unit) } else { figures.units_each }
        }
        _ => figures.units_each * if fed { 1.0 - by_weight } else { 1.0 },
    };
    let parts = |fed: bool| -> Vec<(i64, f64)> {
        worked.students.iter().enumerate().map(|(index, student)| (student.id, part(index, fed))).collect()
    };
    let shared = figures.students_per_unit > 1;
    let parts_needed = Parts::of(parts(goes.is_some()), shared);
    let units_students = Parts::units(&[&parts_needed]);
    let without_feed = Parts::units(&[&Parts::of(parts(false), shared)]);
    let to_cut = wanted.and_then(|wanted| pieces_to_cut(wanted, input.shares.share(0, &worked.cut.id).share).ok());
    let mut need = ExerciseNeed {
        exercise_id: id,
        title: worked.title.clone(),
        food: worked.food.id.clone(),
        pieces_each: worked.pieces_each(),
        good_wanted: wanted,
        to_cut,
        minutes_more: to_cut.and_then(|to_cut| minutes_more(input, worked, to_cut)),
        fed_by: goes.and_then(|_| Some(feeder?.2?.exercise_id)),
        count: worked.students.len() as u32,
        students,
        units_students,
        units_fed: without_feed.saturating_sub(units_students),
        units_demonstration: figures.units_demonstration,
        grams_students: parts_needed.sum() * worked.food.grams(),
        parts: parts_needed,
        words: Vec::new(),
    };
    need.words = words(worked, &need, feeder.and_then(|(_, _, need)| need));
    (need, goes)
}

/// Minutes that so many pieces take beyond those that are planned.
fn minutes_more(input: &ProduceInput<'_>, worked: &Worked<'_>, to_cut: u32) -> Option<u32> {
    let exercise = input.exercises.iter().find(|exercise| exercise.id == worked.exercise_id)?;
    let amount = Amount::Pieces { count: u16::try_from(to_cut).unwrap_or(u16::MAX) };
    let fields = ExerciseFields { amount, ..exercise.fields.clone() };
    if fields.own_minutes.is_some() || worked.pieces_each().is_none_or(|each| to_cut <= each) {
        return None;
    }
    let food = input.at_hand.catalogue.food(&fields.food)?;
    let more = Worked::of(input.at_hand, (exercise.id, &fields), food, worked.students.clone())?;
    let minutes = more.figures.minutes_each?.ceil() - worked.figures.minutes_each?.ceil();
    (minutes >= 1.0).then_some(minutes as u32)
}

/// Gives each student what the earlier exercise leaves of their own pieces: the good ones but those that are measured.
fn feed(
    students: &mut [StudentNeed],
    from: &ExerciseNeed,
    how: Onward,
    (from_index, into): (usize, usize),
    worked: &Worked<'_>,
) -> Option<Fed> {
    let Onward::Pieces(of_one) = how else {
        let have = from.grams_students;
        let want = worked.figures.units_each * f64::from(worked.students.len() as u32) * worked.food.grams();
        let of = |part: f64, whole: f64| if whole > 0.0 { (part / whole).min(1.0) } else { 0.0 };
        let (share, covers) = (of(want, have), of(have, want));
        return (have > 0.0).then_some(Fed { from: from_index, into, share, covers });
    };
    let (mut on, mut all) = (0u32, 0u32);
    for student in students {
        let Some(before) = from.students.iter().find(|other| other.student_id == student.student_id) else { continue };
        let free = before.good.saturating_sub(KEPT_TO_MEASURE);
        let goes = student.to_cut.div_ceil(of_one.max(1)).min(free);
        student.fed = goes.saturating_mul(of_one).min(student.to_cut);
        on = on.saturating_add(goes);
        all = all.saturating_add(before.to_cut);
    }
    (on > 0).then(|| Fed { from: from_index, into, share: f64::from(on) / f64::from(all.max(1)), covers: 0.0 })
}

fn words(worked: &Worked<'_>, need: &ExerciseNeed, feeder: Option<&ExerciseNeed>) -> Vec<Text> {
    let what = match need.units_students {
        0 => "Nothing more is taken for it.".to_owned(),
        units => format!(
            "{} for {}.",
            units_in_words(&worked.food, worked.size, units),
            of_number(need.count as usize, "student", "students")
        ),
    };
    let mut found = vec![text![what]];
    if let (Some(each), Some(least), Some(most)) = (
        need.pieces_each,
        need.students.iter().map(|student| student.good).min(),
        need.students.iter().map(|student| student.good).max(),
    ) && worked.target.thickness.is_some()
    {
        let between = if least == most { least.to_string() } else { format!("{least} to {most}") };
        found.push(text![format!("Of {each} pieces each has {between} good ones at least, in nine cases of ten.")]);
    }
    if let (Some(wanted), Some(to_cut)) = (need.good_wanted, need.to_cut) {
        let more = need.minutes_more.map_or_else(String::new, |minutes| {
            format!(", {} longer than the lesson plans", of_number(minutes as usize, "minute", "minutes"))
        });
        found.push(text![format!("For {wanted} good ones who cuts as the class does cuts {to_cut}{more}.")]);
    }
    if let Some(from) = feeder.filter(|_| need.fed_by.is_some()) {
        let measured = if need.students.is_empty() { "" } else { ", but for ten of each that are measured" };
        found.push(text![format!("Fed by what is good of {}{measured}.", crate::words::lower(&from.title))]);
    }
    found
}
