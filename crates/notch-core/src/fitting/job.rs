//! What is to be cut, and for whom.

use crate::at_hand::{AtHand, Hands};
use crate::catalogue::{BoardMaterial, Catalogue, Cut, CutFamily, CutForm, Doctrines, Food, Target};
use crate::eligibility::Trainee;
use crate::people::{AgeBand, Pace};
use crate::records::Student;
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
    /// Who the course is for.
    pub age_band: AgeBand,
    /// The pace of the class.
    pub pace: Pace,
    /// The doctrines that the course has chosen.
    pub doctrines: Doctrines,
    /// What the boards are made of.
    pub board: BoardMaterial,
    /// One student, where the question is about one.
    pub trainee: Option<Trainee>,
    /// Students by working hand.
    pub hands: Hands,
    /// Students with an allergy to this food.
    pub allergic: Vec<Allergic>,
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
    /// A cut of a food in a course, for the class or for one student of it.
    pub fn of(at_hand: &AtHand<'a>, food: &'a Food, cut: &'a Cut, target: Target, student: Option<&Student>) -> Job<'a> {
        let course = &at_hand.course.fields;
        let allergen = food.allergen.as_deref();
        let allergic = at_hand.students.iter().filter(|student| allergen.is_some_and(|a| student.fields.is_allergic_to(a)));
        Job {
            catalogue: at_hand.catalogue,
            food,
            cut,
            target,
            age_band: course.age_band,
            pace: course.pace,
            doctrines: course.doctrines,
            board: course.board_material,
            trainee: student.map(Trainee::of),
            hands: at_hand.hands(),
            allergic: allergic.map(|student| Allergic { student_id: student.id, name: student.fields.name.clone() }).collect(),
        }
    }
}

impl Job<'_> {
    /// Length of the longest cut through the food: the stick, or the food's width if that is more.
    pub fn cut_length(&self) -> Millimetres {
        let across = self.food.width();
        match self.cut.family {
            CutFamily::Strips => self.target.length.map_or(across, |l| l.nominal()).longer(across),
            CutFamily::Dice | CutFamily::Chop => across.longer(Millimetres::whole(50)),
            CutFamily::Slices if self.cut.form == CutForm::Plank => {
                self.food.length().shorter(Millimetres::whole(100)).longer(across)
            }
            CutFamily::Slices => across,
            CutFamily::Hand => Millimetres::ZERO,
        }
    }

    /// Thinnest side of the piece, where the cut has a size.
    pub fn thinnest(&self) -> Option<Millimetres> {
        [self.target.thickness, self.target.width].into_iter().flatten().map(|s| s.nominal()).reduce(Millimetres::shorter)
    }
}
