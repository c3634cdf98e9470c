//! Which cuts a food takes.

use super::{Cut, CutFamily, CutForm, Food, FoodTrait, Shape, Skin};

impl Food {
    /// Whether a cut is made of this food at all; whether a knife suits it is for the rules.
    pub fn takes(&self, cut: &Cut) -> bool {
        let bundle = matches!(self.shape, Shape::Bundle { .. });
        let loaf = self.skin == Skin::Crust;
        match cut.form {
            CutForm::Ribbon => self.is(FoodTrait::Leaves),
            CutForm::Peeled => self.is(FoodTrait::Peels),
            CutForm::Cored => self.is(FoodTrait::Cored),
            CutForm::Segmented => self.is(FoodTrait::Segments),
            CutForm::Turned => self.is(FoodTrait::Turns),
            CutForm::Paste => self.is(FoodTrait::Pastes),
            CutForm::Wedge => matches!(
                self.shape,
                Shape::Ball { .. } | Shape::LayeredBall { .. } | Shape::Ellipsoid { .. } | Shape::Cylinder { .. }
            ),
            CutForm::Chopped | CutForm::Minced => !loaf && self.firmness <= 4,
            CutForm::Stick
            | CutForm::Cube
            | CutForm::Tile
            | CutForm::Plank
            | CutForm::Coin
            | CutForm::HalfMoon
            | CutForm::BiasCoin => {
                let on_the_bone = self.bone && cut.family != CutFamily::Slices;
                !bundle && !on_the_bone
            }
        }
    }
}
