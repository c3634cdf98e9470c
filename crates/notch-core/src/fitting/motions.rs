//! The motions that a cut of a food is made with.

use super::Job;
use crate::catalogue::{CutFamily, CutForm, FoodTrait, GarlicDoctrine, Motion, Nature, Shape, Skin};

use Motion::{Crush, InHandPull, LongDraw, PeelStroke, Pierce, PivotMince, Press, Pull, Push, Rock, Saw, Score, Snip, Tap};

impl Job<'_> {
    /// Whether a motion makes this cut of this food.
    pub fn is_made_by(&self, motion: Motion) -> bool {
        match self.cut.family {
            CutFamily::Strips | CutFamily::Dice | CutFamily::Slices => self.cuts_up(motion),
            CutFamily::Chop => self.chops(motion),
            CutFamily::Hand => self.is_fine_work(motion),
            CutFamily::Open => self.opens(motion),
            CutFamily::Break => self.breaks_down(motion),
        }
    }

    /// Fish and meat, raw, cured or cooked.
    pub(super) const fn is_flesh(&self) -> bool {
        matches!(self.food.nature, Nature::Fish | Nature::Cured | Nature::Meat | Nature::Cooked)
    }

    /// Fish, meat, cake and cheese are drawn in one stroke.
    const fn is_carved(&self) -> bool {
        self.is_flesh() || matches!(self.food.nature, Nature::Cake | Nature::Cheese)
    }

    fn cuts_up(&self, motion: Motion) -> bool {
        match self.cut.form {
            CutForm::Peelings => motion == PeelStroke,
            CutForm::Ribbon => matches!(motion, Push | Pull | Rock),
            _ => match motion {
                Push | Pull | Tap | Rock | Saw => true,
                LongDraw => self.is_carved(),
                Press => self.food.is(FoodTrait::Dense),
                _ => false,
            },
        }
    }

    fn chops(&self, motion: Motion) -> bool {
        match (self.cut.form, motion) {
            (CutForm::Crushed, motion) => motion == Crush,
            (CutForm::Minced, PivotMince | Rock | Push | Tap | Pull) => true,
            // Pressing stands in for the knife only where the course crushes.
            (CutForm::Paste, Crush) => self.food.is(FoodTrait::Clove) && self.doctrines.garlic == GarlicDoctrine::Crush,
            (CutForm::Paste, PivotMince | Rock | Push) => true,
            (CutForm::Chopped, Push | Pull | Tap | Rock) => true,
            (CutForm::Chopped, PivotMince) => matches!(self.food.shape, Shape::Bundle { .. }),
            (CutForm::Chopped, Snip) => self.food.nature == Nature::Herb,
            _ => false,
        }
    }

    fn is_fine_work(&self, motion: Motion) -> bool {
        let food = self.food;
        match (self.cut.form, motion) {
            (
                CutForm::Turned | CutForm::Peeled | CutForm::Zest | CutForm::Cored | CutForm::Hulled | CutForm::Segmented,
                InHandPull,
            ) => true,
            (CutForm::Zest, PeelStroke) | (CutForm::Segmented, Pull) => true,
            (CutForm::Peeled, PeelStroke) => {
                matches!(food.skin, Skin::Plain | Skin::Tough | Skin::Rind) && !food.is(FoodTrait::Stone)
            }
            // A skin that is loose, or made loose, is nicked on the board and drawn off with the fingers.
            (CutForm::Peeled, Pierce) => matches!(food.skin, Skin::Papery | Skin::Slips),
            // A soft core or calyx is turned out with the tip on the board too; that of an apple is not.
            (CutForm::Cored | CutForm::Hulled, Pierce) => food.firmness <= 1,
            _ => false,
        }
    }

    fn opens(&self, motion: Motion) -> bool {
        let food = self.food;
        match (self.cut.form, motion) {
            (CutForm::Trimmed, Push | Pull | Rock | Saw) => true,
            (CutForm::Trimmed, Snip) => self.is_snipped(),
            (CutForm::Halved | CutForm::Quartered, Push | Pull | Rock | Saw) => true,
            (CutForm::Halved | CutForm::Quartered, Press) => self.is_hard_whole() || food.is(FoodTrait::Dense),
            (CutForm::Trimmed | CutForm::Halved | CutForm::Quartered, LongDraw) => self.is_carved(),
            (CutForm::SkinnedDown | CutForm::Cheeks, Push | Pull | Saw) => true,
            (CutForm::Stoned, Pull | Push) => true,
            (CutForm::Split, Saw | LongDraw | Pull | Push) => true,
            (CutForm::CoredOnBoard | CutForm::Florets, Push | Pull | Pierce) => true,
            (CutForm::Scored, Score) => true,
            _ => false,
        }
    }

    fn breaks_down(&self, motion: Motion) -> bool {
        match (self.cut.form, motion) {
            (CutForm::Portioned, motion) => self.cuts_up(motion),
            (CutForm::Jointed, Pull | Pierce | Push) | (CutForm::Boned, Pull | Pierce) => true,
            (CutForm::Filleted | CutForm::SkinOff, LongDraw | Pull) => true,
            (CutForm::Butterflied, Pull | Push) => true,
            (CutForm::Butterflied, LongDraw) => !self.is_snipped(),
            (CutForm::Butterflied, Snip) => self.is_snipped(),
            _ => false,
        }
    }
}
