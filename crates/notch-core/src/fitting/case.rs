//! One way to make a cut with one knife: what a rule looks at.

use super::{Candidate, Job};
use crate::catalogue::{CutFamily, Grip, Hold, Motion, Shape, Third, Work};
use crate::eligibility::Blade;

/// One way to make the cut with one knife.
#[derive(Clone, Copy, Debug)]
pub struct Case<'a> {
    /// What is to be cut.
    pub job: &'a Job<'a>,
    /// With which knife.
    pub knife: &'a Candidate<'a>,
    /// Moved how.
    pub motion: Motion,
    /// What kind of work that is.
    pub work: Work,
    /// Held how.
    pub grip: Grip,
    /// The food held how.
    pub hold: Hold,
    /// With which part of the blade.
    pub third: Third,
    /// Only scores are compared: findings carry no words.
    pub quiet: bool,
}

impl Case<'_> {
    /// The blade, as eligibility looks at it.
    pub(crate) const fn blade(&self) -> Blade<'_> {
        Blade { kind: self.knife.kind, length: self.knife.length, hand: self.knife.hand }
    }

    /// The cut of the food as a heading.
    pub(crate) fn title(&self) -> String {
        if self.quiet { String::new() } else { self.job.cut.of(&self.job.food.name) }
    }

    /// The food is held off the board.
    pub(crate) const fn in_hand(&self) -> bool {
        matches!(self.motion, Motion::InHandPull)
    }

    /// A blade works downwards on the board: not in the hand, and not as a peeler.
    pub(crate) const fn on_board(&self) -> bool {
        self.motion.on_board()
    }

    /// Both hands are on the knife.
    pub(crate) const fn two_handed(&self) -> bool {
        matches!(self.motion, Motion::PivotMince | Motion::Press | Motion::Crush)
    }

    /// An onion that is diced, or any layered ball.
    pub(crate) fn dices_layers(&self) -> bool {
        self.job.cut.family == CutFamily::Dice && matches!(self.job.food.shape, Shape::LayeredBall { .. })
    }
}
