//! What is to be cut, and for whom.

use crate::at_hand::AtHand;
use crate::catalogue::{
    BoardMaterial, Catalogue, Cut, CutFamily, CutForm, Doctrines, Food, FoodTrait, Motion, Nature, Skin, Standing, Target, Work,
};
use crate::eligibility::Trainee;
use crate::people::{AgeBand, Pace};
use crate::records::Student;
use crate::resources::BoardSize;
use crate::units::Millimetres;

/// What is to be cut, and for whom.
#[derive(Clone, Debug)]
pub struct Job<'a> {
    /// The catalogue that all words come from.
    pub catalogue: &'a Catalogue,
    /// The food.
    pub food: &'a Food,
    /// The cut.
    pub cut: &'a Cut,
    /// Its target sizes.
    pub target: Target,
    /// Whether the cut is made of this food.
    pub standing: Standing,
    /// How the food lies on the board for this cut.
    pub lies: Lies,
    /// Who the course is for.
    pub age_band: AgeBand,
    /// The pace of the class.
    pub pace: Pace,
    /// The doctrines that the course has chosen.
    pub doctrines: Doctrines,
    /// What the boards are made of.
    pub board: BoardMaterial,
    /// How large they are; none where nobody has said it.
    pub board_size: Option<BoardSize>,
    /// Boards of that may be used at all.
    pub board_allowed: bool,
    /// One student, where the question is about one.
    pub trainee: Option<Trainee>,
    /// Students of the class.
    pub class_size: u32,
    /// Students with an allergy to this food.
    pub allergic: Vec<Allergic>,
}

/// How a food lies on the board for a cut: whole, or as it is opened.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Lies {
    /// Height above the board.
    pub height: Millimetres,
    /// Across, as the blade crosses it.
    pub across: Millimetres,
    /// Length.
    pub length: Millimetres,
    /// Its skin, rind or crust is still on.
    pub skin_on: bool,
}

impl Lies {
    fn of(food: &Food, cut: &Cut) -> Lies {
        // Of pieces that are cut all round, the outside is gone by then; not of bread, which is all crust.
        let squared = matches!(cut.family, CutFamily::Dice | CutFamily::Strips) && food.skin == Skin::Rind;
        if cut.form.meets_whole() {
            let shape = food.shape;
            let skin_on = cut.form != CutForm::Ring || food.opened.skin_on;
            return Lies { height: shape.height(), across: shape.width(), length: shape.length(), skin_on };
        }
        let opened = &food.opened;
        Lies {
            height: opened.height,
            across: opened.across,
            length: opened.length,
            skin_on: opened.skin_on && !squared || cut.form == CutForm::Peeled,
        }
    }
}

/// A student who must not meet a food.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Allergic {
    /// Id of the student.
    pub student_id: i64,
    /// Name, as it is told.
    pub name: String,
}

impl<'a> Job<'a> {
    /// A cut of a food for grown learners with our default doctrines, whoever they are.
    pub fn plain(catalogue: &'a Catalogue, food: &'a Food, cut: &'a Cut, target: Target) -> Job<'a> {
        Job {
            catalogue,
            food,
            cut,
            target,
            standing: food.standing(&cut.id),
            lies: Lies::of(food, cut),
            age_band: AgeBand::Adult,
            pace: Pace::Learner,
            doctrines: Doctrines::default(),
            board: BoardMaterial::Wood,
            board_size: None,
            board_allowed: true,
            trainee: None,
            class_size: 0,
            allergic: Vec::new(),
        }
    }

    /// A cut of a food in a course, for the class or for one student of it.
    pub fn of(at_hand: &AtHand<'a>, food: &'a Food, cut: &'a Cut, target: Target, student: Option<&Student>) -> Job<'a> {
        let course = &at_hand.course.fields;
        let allergic =
            at_hand.students.iter().filter(|student| food.allergens.iter().any(|each| student.fields.is_allergic_to(each)));
        Job {
            age_band: course.age_band,
            pace: course.pace,
            doctrines: course.doctrines,
            board: course.board_material,
            board_size: course.resources.board_size,
            board_allowed: at_hand.catalogue.care.board_allowed(course.board_material),
            trainee: student.map(Trainee::of),
            class_size: at_hand.class_size(),
            allergic: allergic.map(|student| Allergic { student_id: student.id, name: student.fields.name.clone() }).collect(),
            ..Job::plain(at_hand.catalogue, food, cut, target)
        }
    }
}

/// Widest food that a grown hand, and a child's, closes round; and the heaviest, grams.
const IN_HAND: (Millimetres, f64) = (Millimetres::whole(85), 350.0);
const IN_CHILDS_HAND: (Millimetres, f64) = (Millimetres::whole(65), 200.0);

/// Breadth from which hard produce is opened with force.
const HARD_BREADTH: Millimetres = Millimetres::whole(70);

impl Job<'_> {
    /// Length of the longest cut through the food as it lies.
    pub fn cut_length(&self) -> Millimetres {
        let (across, fifty) = (self.lies.across, Millimetres::whole(50));
        match self.cut.family {
            CutFamily::Strips => self.target.length.map_or(across, |l| l.nominal()).longer(across),
            CutFamily::Dice | CutFamily::Chop => across.longer(fifty),
            CutFamily::Slices if self.cut.form == CutForm::Plank => {
                self.lies.length.shorter(Millimetres::whole(100)).longer(across)
            }
            CutFamily::Slices => across,
            CutFamily::Hand => Millimetres::ZERO,
            CutFamily::Open => match self.cut.form {
                // Skin and cores come off in strips and wedges, not in one cut through the food.
                CutForm::SkinnedDown | CutForm::Cheeks => self.lies.length.shorter(Millimetres::whole(100)),
                CutForm::CoredOnBoard | CutForm::Florets | CutForm::Scored => across.shorter(fifty),
                CutForm::Trimmed if !matches!(self.food.nature, Nature::Produce | Nature::Herb) => fifty,
                // An end is narrower than the middle.
                CutForm::Trimmed => Millimetres::clamped(across.get() * 0.6),
                _ => across,
            },
            CutFamily::Break => match self.cut.form {
                CutForm::Jointed | CutForm::Boned => fifty,
                CutForm::Butterflied if self.food.is(FoodTrait::Bone) => fifty,
                _ => across,
            },
        }
    }

    /// Side of the food that the board is too small for, and that side of the board: the shorter on the shorter.
    ///
    /// What stands over the longer side can be cut across first; what stands over the shorter one cannot be held.
    pub fn too_broad_for(&self, board: BoardSize) -> Option<(Millimetres, Millimetres)> {
        let breadth = self.lies.across.shorter(self.lies.length);
        (breadth > board.width).then_some((breadth, board.width))
    }

    /// Thinnest side of the piece, where the cut has a size.
    pub fn thinnest(&self) -> Option<Millimetres> {
        [self.target.thickness, self.target.width].into_iter().flatten().map(|s| s.nominal()).reduce(Millimetres::shorter)
    }

    /// Whether the guide hand closes round the food, so that this cut may be made in the hand.
    pub fn fits_the_hand(&self) -> bool {
        let (widest, heaviest) = if self.age_band == AgeBand::Child { IN_CHILDS_HAND } else { IN_HAND };
        let listed = self.food.in_hand.contains(&self.cut.id) || self.cut.form == CutForm::Segmented;
        // A sheet is a pepper that is still closed; its width is not its breadth.
        let breadth = self.food.shape.width().shorter(self.food.shape.length());
        listed && breadth <= widest && self.food.grams() <= heaviest
    }

    /// A thick end or a hard breadth that is opened with force.
    pub fn is_hard_whole(&self) -> bool {
        let opens = self.cut.form.parts_whole() || matches!(self.cut.form, CutForm::SkinnedDown | CutForm::Trimmed);
        self.food.firmness >= 5 && opens && self.food.shape.width() >= HARD_BREADTH && !self.food.is(FoodTrait::Bone)
    }

    /// Cut level, under the palm; a bird is opened along its backbone, not level.
    pub fn is_level(&self) -> bool {
        self.cut.form.is_level() && !self.is_snipped()
    }

    /// A bird's backbone and the fins of a fish come off with scissors.
    pub fn is_snipped(&self) -> bool {
        match self.cut.form {
            CutForm::Butterflied => self.food.is(FoodTrait::Bone) && !self.food.is(FoodTrait::FishBone),
            CutForm::Trimmed => self.food.is(FoodTrait::FishBone),
            _ => false,
        }
    }

    /// What kind of work the cut is with a motion: it decides which knives are made for it.
    pub fn work(&self, motion: Motion) -> Work {
        let form = self.cut.form;
        match motion {
            Motion::PeelStroke => return Work::Peeling,
            Motion::Snip => return Work::Snipping,
            Motion::Crush => return Work::Crushing,
            Motion::InHandPull if form == CutForm::Turned => return Work::Turning,
            Motion::InHandPull => return Work::Fine,
            _ => {}
        }
        match self.food.nature {
            _ if self.cut.family == CutFamily::Hand => Work::Fine,
            Nature::Bread => Work::Bread,
            Nature::Cake => Work::Cake,
            Nature::Cheese => Work::Cheese,
            Nature::Fish if self.food.is(FoodTrait::FishBone) && form != CutForm::Scored => Work::FishBone,
            Nature::Fish | Nature::Cured if form == CutForm::SkinOff => Work::Skinning,
            Nature::Fish | Nature::Cured if form == CutForm::Trimmed => Work::FishTrim,
            Nature::Meat if form == CutForm::Trimmed => Work::MeatTrim,
            // Cubes and strips of fish are cut as those of meat are.
            Nature::Fish if matches!(self.cut.family, CutFamily::Dice | CutFamily::Strips | CutFamily::Chop) => Work::Meat,
            Nature::Fish => Work::FishSlices,
            Nature::Meat if self.food.is(FoodTrait::Bone) => Work::Bone,
            Nature::Meat => Work::Meat,
            Nature::Cured | Nature::Cooked => Work::Carving,
            Nature::Produce | Nature::Herb if self.is_hard_whole() => Work::HardWhole,
            Nature::Produce | Nature::Herb => Work::Produce,
        }
    }
}
