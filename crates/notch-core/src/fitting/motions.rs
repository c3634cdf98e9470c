//! The motions that a cut of a food is made with.

use super::Job;
use crate::catalogue::{CutForm, FoodTrait, GarlicDoctrine, Motion, Nature, Shape, Skin};

use Motion::{Crush, InHandPull, LongDraw, PeelStroke, Pierce, PivotMince, Press, Pull, Push, Rock, Saw, Score, Snip, Tap};

impl Job<'_> {
    /// Whether a motion makes this cut of this food.
    pub fn is_made_by(&self, motion: Motion) -> bool {
        let (form, food) = (self.cut.form, self.food);
        let carved =
            matches!(food.nature, Nature::Fish | Nature::Cured | Nature::Meat | Nature::Cooked | Nature::Cake | Nature::Cheese);
        match form {
            CutForm::Stick
            | CutForm::Cube
            | CutForm::Tile
            | CutForm::Plank
            | CutForm::Coin
            | CutForm::HalfMoon
            | CutForm::BiasCoin
            | CutForm::Wedge
            | CutForm::Ring
            | CutForm::Slice
            | CutForm::RollCut
            | CutForm::Portioned => match motion {
                Push | Pull | Tap | Rock | Saw => true,
                LongDraw => carved,
                Press => food.is(FoodTrait::Dense),
                _ => false,
            },
            CutForm::Ribbon => matches!(motion, Push | Pull | Rock),
            CutForm::Chopped => match motion {
                Push | Pull | Tap | Rock => true,
                PivotMince => matches!(food.shape, Shape::Bundle { .. }),
                Snip => food.nature == Nature::Herb,
                _ => false,
            },
            CutForm::Minced => matches!(motion, PivotMince | Rock | Push | Tap | Pull),
            // Pressing stands in for the knife only where the course crushes.
            CutForm::Paste => match motion {
                PivotMince | Rock | Push => true,
                Crush => food.is(FoodTrait::Clove) && self.doctrines.garlic == GarlicDoctrine::Crush,
                _ => false,
            },
            CutForm::Crushed => motion == Crush,
            CutForm::Peelings => motion == PeelStroke,
            CutForm::Zest => matches!(motion, PeelStroke | InHandPull),
            CutForm::Peeled => match motion {
                PeelStroke => matches!(food.skin, Skin::Plain | Skin::Tough | Skin::Rind) && !food.is(FoodTrait::Stone),
                // A skin that is loose, or made loose, is nicked on the board and drawn off with the fingers.
                Pierce => matches!(food.skin, Skin::Papery | Skin::Slips),
                InHandPull => true,
                _ => false,
            },
            // A soft core or calyx is turned out with the tip on the board too; that of an apple is not.
            CutForm::Cored | CutForm::Hulled => motion == InHandPull || motion == Pierce && food.firmness <= 1,
            CutForm::Segmented => matches!(motion, Pull | InHandPull),
            CutForm::Turned => motion == InHandPull,
            CutForm::Trimmed => match motion {
                Push | Pull | Rock | Saw => true,
                LongDraw => carved,
                Snip => food.is(FoodTrait::FishBone),
                _ => false,
            },
            CutForm::Halved | CutForm::Quartered => match motion {
                Push | Pull | Rock | Saw => true,
                LongDraw => carved,
                Press => self.is_hard_whole() || food.is(FoodTrait::Dense),
                _ => false,
            },
            CutForm::SkinnedDown | CutForm::Cheeks => matches!(motion, Push | Pull | Saw),
            CutForm::Stoned => matches!(motion, Pull | Push),
            CutForm::Split => matches!(motion, Saw | LongDraw | Pull | Push),
            CutForm::CoredOnBoard | CutForm::Florets => matches!(motion, Push | Pull | Pierce),
            CutForm::Scored => motion == Score,
            CutForm::Jointed => matches!(motion, Pull | Pierce | Push),
            CutForm::Boned => matches!(motion, Pull | Pierce),
            CutForm::Filleted | CutForm::SkinOff => matches!(motion, LongDraw | Pull),
            CutForm::Butterflied => match motion {
                Pull | Push => true,
                LongDraw => !food.is(FoodTrait::Bone),
                Snip => food.is(FoodTrait::Bone),
                _ => false,
            },
        }
    }
}
