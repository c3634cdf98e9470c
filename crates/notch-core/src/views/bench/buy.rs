//! What to buy, and what is left: products that feed each other, trimmings by use.

use serde::Serialize;

use crate::at_hand::AtHand;
use crate::catalogue::{Cut, CutFamily, CutForm, Food, Target, TargetSize};
use crate::geometry::{WorkedFood, mince};

/// Something that comes of the food.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchProduct {
    /// What it is, e.g. `julienne`.
    pub name: String,
    /// What it comes of, in words.
    pub of: String,
    /// Pieces for each student; none of what is weighed only.
    pub each: Option<u32>,
    /// Grams for each student.
    pub grams_each: f64,
    /// Grams for the class.
    pub grams_class: f64,
    /// Passes of a mince.
    pub passes: Option<u32>,
}

/// What of each student's units: the cut itself less what goes on, what it goes on to, trimmings.
pub(super) struct Feed<'a> {
    pub at_hand: &'a AtHand<'a>,
    pub food: &'a Food,
    pub cut: &'a Cut,
    pub target: &'a Target,
    /// Units for each student.
    pub units: u32,
    /// Pieces of each student that go on to the next cut.
    pub onward: u32,
    /// Peel of each unit, mm³.
    pub peel: f64,
}

impl Feed<'_> {
    /// Products in the order in which they are made.
    pub(super) fn products(&self, worked: &WorkedFood) -> Vec<BenchProduct> {
        let Feed { food, cut, .. } = *self;
        let units = f64::from(self.units);
        let pieces = worked.pieces.saturating_mul(self.units);
        let kept = worked.volume - worked.trimmings.total();
        let of_one = if worked.pieces > 0 { kept / f64::from(worked.pieces) } else { 0.0 };
        let onward = self.onward.min(pieces);
        let mut found = Vec::new();
        let mut left_over = worked.trimmings.squaring * units;
        if pieces > 0 {
            let stays = pieces - onward;
            found.push(self.product(&cut.name, "cut and kept", Some(stays), f64::from(stays) * of_one));
        }
        if let Some((dice, from_each)) = self.next().filter(|_| onward > 0) {
            let cubes = onward.saturating_mul(from_each);
            let of_cube = self.cube_volume();
            let used = f64::from(cubes) * of_cube;
            let of = format!("{onward} of the sticks, {from_each} from each");
            found.push(self.product(&dice.name, &of, Some(cubes), used));
            left_over += (f64::from(onward) * of_one - used).max(0.0);
        }
        if left_over > 0.0 {
            let mut minced = self.product("mince", "squared-off sides and short ends", None, left_over);
            let size = self.at_hand.taught().find(|(cut, _)| cut.form == CutForm::Minced);
            let size = size.and_then(|(_, target)| target.thickness).map(TargetSize::nominal);
            minced.passes = size.map(|size| mince(left_over, size, &self.at_hand.catalogue.handling.hand_work).passes);
            found.push(minced);
        }
        let rest = (worked.trimmings.ends + worked.trimmings.core + self.peel) * units;
        if rest > 0.0 {
            found.push(self.product(&food.scraps, "ends, peel and core", None, rest));
        }
        found
    }

    /// The dice whose edge is a stick's thickness, and how many come of one stick.
    pub(super) fn next(&self) -> Option<(&Cut, u32)> {
        if self.cut.family != CutFamily::Strips {
            return None;
        }
        let (thick, long) = (self.target.thickness?.nominal(), self.target.length?.nominal());
        let of_edge = |(cut, target): &(&Cut, Target)| {
            let edge = target.thickness.map(TargetSize::nominal);
            cut.form == CutForm::Cube && edge.is_some_and(|edge| (edge.get() - thick.get()).abs() < 0.02 * thick.get())
        };
        let (dice, _) = self.at_hand.taught().find(of_edge)?;
        Some((dice, crate::units::times(long.get(), thick.get())))
    }

    fn cube_volume(&self) -> f64 {
        let side = |side: Option<TargetSize>| side.map_or(0.0, |side| side.nominal().get());
        side(self.target.thickness).powi(2) * side(self.target.width)
    }

    fn product(&self, name: &str, of: &str, each: Option<u32>, volume: f64) -> BenchProduct {
        let grams_each = volume * self.food.density / 1000.0;
        BenchProduct {
            name: name.to_owned(),
            of: of.to_owned(),
            each,
            grams_each,
            grams_class: grams_each * self.at_hand.students.len() as f64,
            passes: None,
        }
    }
}
