//! What one exercise takes: pieces, strokes, minutes, trimmings, and food to buy.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Cut, Food, Handling, Target};
use crate::geometry::{Block, Way, WorkedFood, work_flat_first, work_food};
use crate::people::Pace;
use crate::records::{Amount, MOST_GRAMS};

/// Who cuts, and what is set aside.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassSize {
    /// Students who cut.
    pub students: u32,
    /// Boards.
    pub boards: u32,
    /// Knives on the rack that fit and are sharp.
    pub knives: u32,
    /// Students whom instructors and assistants may watch at work at one time; none where nobody has said it.
    pub watched: Option<u32>,
}

/// Grams cut off, for the students' share.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WasteFigures {
    /// Ends.
    pub ends_grams: f64,
    /// Squared-off sides, cores, crumbs, tails and blocks too thin.
    pub squaring_grams: f64,
    /// What it becomes, e.g. `stock`.
    pub becomes: String,
}

/// Minutes between two rounds, to wash and hand over the knives.
pub(crate) const CHANGE_MINUTES: f64 = 1.0;

/// Spare food: a tenth of what students need, at least one unit.
const SPARE_SHARE: f64 = 0.1;

/// Units that the instructor cuts in front of the class.
const DEMONSTRATION_UNITS: u32 = 1;

/// The figures of an exercise.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ExerciseFigures {
    /// One unit of the food as it is bought, e.g. `loaf of bread`.
    pub unit: String,
    /// Pieces that one unit gives; none where pieces are not counted.
    pub pieces_per_unit: Option<u32>,
    /// Why pieces are not counted, where they are not.
    pub no_count: Option<String>,
    /// Blocks that one unit is cut from, the largest first.
    pub blocks: Vec<Block>,
    /// Units for each student; a part of one where units are shared.
    pub units_each: f64,
    /// Students who share a unit; 1 where each has units of their own.
    pub students_per_unit: u32,
    /// Pieces that each student ends with.
    pub pieces_each: Option<u32>,
    /// Strokes for each student.
    pub strokes_each: Option<u64>,
    /// Minutes for each student at the class's pace; the instructor's own where strokes are not counted.
    pub minutes_each: Option<f64>,
    /// Rounds, where boards, knives or people who watch are too few for all at once; 0 if there is no knife at all.
    pub rounds: u32,
    /// Minutes that the practice needs, changes of knives included, rounded up.
    pub minutes_needed: Option<u16>,
    /// Trimmings of the students' share; none where pieces are not counted.
    pub waste: Option<WasteFigures>,
    /// Units for students.
    pub units_students: u32,
    /// Units for the demonstration.
    pub units_demonstration: u32,
    /// Spare units.
    pub units_spare: u32,
    /// Units to buy.
    pub units_total: u32,
    /// Grams to buy.
    pub grams_total: f64,
}

/// Rounds in which `students` take turns at `class.boards` boards with `class.knives` knives, watched.
pub fn rounds(class: ClassSize) -> u32 {
    match class.boards.min(class.knives).min(class.watched.unwrap_or(u32::MAX)) {
        0 => 0,
        places => class.students.div_ceil(places),
    }
}

/// What is worked: the food as bought, and as it is counted.
#[derive(Clone, Copy, Debug)]
pub struct Worked<'a> {
    /// As bought.
    pub bought: &'a Food,
    /// Peeled, where it is.
    pub peeled: &'a Food,
    /// The cut.
    pub cut: &'a Cut,
    /// Its target.
    pub target: &'a Target,
    /// Way of working sticks and dice.
    pub way: Way,
}

/// Units for students: for each, and for all.
#[derive(Clone, Copy, Debug)]
struct Units {
    each: f64,
    students: u32,
    /// Parts of a unit that are left of the students' units.
    left: f64,
    shared: bool,
}

/// Units that the students need.
///
/// Units are whole for each student, unless several share one: then those of all pieces together are rounded up
/// once. What is weighed is always shared.
fn units(food: &Food, amount: Amount, per_unit: Option<u32>, students: u32) -> Units {
    let whole = |each: u32| Units { each: f64::from(each), students: each.saturating_mul(students), left: 0.0, shared: false };
    let shared = |each: f64| {
        let exact = each * f64::from(students);
        let all = (exact * (1.0 - 1e-9)).ceil().max(1.0);
        Units { each, students: all as u32, left: all - exact, shared: true }
    };
    let of_several = food.students_per_unit > 1;
    match (amount, per_unit) {
        (Amount::Units { count }, _) => whole(u32::from(count).max(1)),
        (Amount::Grams { count }, _) => shared(f64::from(count) / (food.grams() * food.edible).max(0.1)),
        (Amount::Pieces { count }, Some(per_unit)) if per_unit > 0 && of_several => {
            shared(f64::from(count) / f64::from(per_unit))
        }
        (Amount::Pieces { count }, Some(per_unit)) if per_unit > 0 => whole(u32::from(count).div_ceil(per_unit).max(1)),
        (Amount::Pieces { .. }, _) if of_several => shared(1.0 / f64::from(food.students_per_unit)),
        (Amount::Pieces { .. }, _) => whole(1),
    }
}

/// Pieces that a student usually practises on at one go, where the food gives so many.
const USUAL_PIECES: f64 = 40.0;

/// How much each student usually cuts, in each way of saying it, the proposed one first.
///
/// It is what a student's own units or share of one gives: [`USUAL_PIECES`] at most. What is not counted, and
/// of which a student's share is less than one piece, is proposed by weight, rounded as a cook weighs.
pub fn usual_amounts(work: Worked<'_>, handling: &Handling) -> [Amount; 3] {
    let food = work.bought;
    let share = match food.students_per_unit {
        0 | 1 => f64::from(food.units_each.max(1)),
        several => 1.0 / f64::from(several),
    };
    let counted = work_food(work.peeled, work.cut, work.target, handling).ok().filter(|worked| worked.pieces > 0);
    let pieces = counted.as_ref().map_or(USUAL_PIECES, |worked| f64::from(worked.pieces) * share);
    let grams = food.grams() * food.edible * share;
    let step = if grams < 50.0 {
        5.0
    } else if grams < 250.0 {
        10.0
    } else {
        50.0
    };
    let less_than_one = pieces < 1.0;
    let pieces = Amount::Pieces { count: pieces.clamp(1.0, USUAL_PIECES) as u16 };
    let units = Amount::Units { count: u16::from(food.units_each.max(1)) };
    let grams = Amount::Grams { count: ((grams / step).round() * step).clamp(5.0, f64::from(MOST_GRAMS)) as u16 };
    match counted {
        // A ham is trimmed once for several: each has a part of it, which is a weight.
        Some(_) if !less_than_one => [pieces, units, grams],
        _ => [grams, units, pieces],
    }
}

/// Spare units beside so many for students: a tenth, at least one.
pub(crate) fn spare_of(students: u32) -> u32 {
    ((f64::from(students) * SPARE_SHARE).ceil() as u32).max(1)
}

/// Works out one exercise.
///
/// Food that is not worked flat first is squared, whichever way is asked for.
/// `own_minutes` are the instructor's minutes for each student; they replace the computed ones.
/// A food that gives no piece of this size has 0 pieces for each unit, and one unit is planned.
/// To show there is one unit, from the shared ones where half of one is left over; and a tenth is spare.
pub fn exercise_figures(
    work: Worked<'_>,
    amount: Amount,
    class: ClassSize,
    pace: Pace,
    own_minutes: Option<f64>,
    handling: &Handling,
) -> ExerciseFigures {
    let Worked { bought, peeled: food, cut, target, way } = work;
    let squared = || work_food(food, cut, target, handling);
    let worked = match way {
        Way::FlatFirst => work_flat_first(food, cut, target, handling).map(|kitchen| kitchen.worked).or_else(|_| squared()),
        Way::Squared => squared(),
    };
    let per_unit = worked.as_ref().ok().map(|worked| worked.pieces);
    let units = units(bought, amount, per_unit, class.students);
    // Fine work has no strokes to reckon with: its minutes are the instructor's.
    let work = worked.as_ref().ok().filter(|worked| worked.pieces > 0 && worked.strokes > 0);
    let computed = work.map(|worked| student_minutes(worked, units.each, pace, handling));
    let minutes_each = own_minutes.or(computed);
    let rounds = rounds(class);
    let minutes_needed = minutes_each.filter(|_| rounds > 0).map(|each| {
        let all = f64::from(rounds) * each + f64::from(rounds - 1) * CHANGE_MINUTES;
        all.ceil().clamp(1.0, f64::from(super::MAX_MINUTES)) as u16
    });
    let units_demonstration = if units.shared && units.left >= 0.5 { 0 } else { DEMONSTRATION_UNITS };
    let units_spare = spare_of(units.students);
    let units_total = units.students.saturating_add(units_demonstration).saturating_add(units_spare);
    let grams = |cubic_millimetres: f64| cubic_millimetres * bought.density / 1000.0 * f64::from(units.students);
    let of_units = |number: f64| (number * units.each * (1.0 + 1e-9)).floor();
    ExerciseFigures {
        unit: bought.unit.clone(),
        pieces_per_unit: per_unit,
        no_count: worked.as_ref().err().map(ToString::to_string),
        blocks: worked.as_ref().map(|worked| worked.blocks.clone()).unwrap_or_default(),
        units_each: units.each,
        students_per_unit: if units.shared { u32::from(bought.students_per_unit).max(2) } else { 1 },
        pieces_each: per_unit.map(|pieces| of_units(f64::from(pieces)) as u32),
        strokes_each: work.map(|worked| of_units(worked.strokes as f64) as u64),
        minutes_each,
        rounds,
        minutes_needed,
        waste: worked.as_ref().ok().map(|worked| WasteFigures {
            ends_grams: grams(worked.trimmings.ends),
            squaring_grams: grams(worked.trimmings.squaring + worked.trimmings.core),
            becomes: bought.scraps.clone(),
        }),
        units_students: units.students,
        units_demonstration,
        units_spare,
        units_total,
        grams_total: f64::from(units_total) * bought.grams(),
    }
}

/// Minutes for one student: strokes at the pace, and handling for each regrouping and each unit.
pub(crate) fn student_minutes(worked: &WorkedFood, units: f64, pace: Pace, handling: &Handling) -> f64 {
    let strokes = worked.strokes as f64 / handling.strokes_per_minute(pace);
    let seconds = worked.regroupings as f64 * handling.regroup_seconds + handling.unit_seconds;
    units * (strokes + seconds / 60.0)
}
