//! The knives that are compared for a cut, and which of them is meant.

use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::catalogue::{Edge, KnifeType};
use crate::eligibility::{Blade, Trainee};
use crate::people::Hand;
use crate::problem::Problem;
use crate::records::EdgeState;
use crate::text;
use crate::units::Millimetres;

/// Knives of one type and length that are alike for a cut.
#[derive(Clone, Debug)]
pub struct Candidate<'a> {
    /// Type.
    pub kind: &'a KnifeType,
    /// Blade length.
    pub length: Millimetres,
    /// Blade height at the heel.
    pub heel_height: Millimetres,
    /// Hand it is ground for; `None` for either.
    pub hand: Option<Hand>,
    /// Sides hollowed, so that slices let go.
    pub hollowed: bool,
    /// Passed its last edge test.
    pub sharp: bool,
    /// Numbers of the knives on the rack.
    pub numbers: Vec<String>,
    /// Students of the class who may not hold it.
    pub barred: u32,
}

/// Which knives are compared.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum KnifeSource {
    /// The knives on the rack.
    #[default]
    Rack,
    /// One of each type of the catalogue, at its usual length.
    Types,
}

impl<'a> Candidate<'a> {
    /// The knives of a source: one of each type, or the rack in groups, sharp ones of a model together
    /// and each dull one by itself.
    pub fn all(at_hand: &AtHand<'a>, source: KnifeSource) -> Vec<Candidate<'a>> {
        let mut all = match source {
            KnifeSource::Rack => on_the_rack(at_hand),
            KnifeSource::Types => at_hand.catalogue.knives.iter().map(Candidate::of_type).collect(),
        };
        for candidate in &mut all {
            let may_not = at_hand.students.iter().filter(|student| !candidate.may_be_held_by(&Trainee::of(student), at_hand));
            candidate.barred = u32::try_from(may_not.count()).unwrap_or(u32::MAX);
        }
        all
    }

    /// Whether a student may hold it, sharp as it is.
    pub fn may_be_held_by(&self, trainee: &Trainee, at_hand: &AtHand<'_>) -> bool {
        let (blade, ladder) = (Blade { kind: self.kind, length: self.length, hand: self.hand }, &at_hand.catalogue.progress);
        blade.length_barrier(trainee, ladder).is_none()
            && blade.special_barrier(trainee, ladder).is_none()
            && blade.hand_barrier(trainee.hand).is_none()
            && blade.age_barrier(at_hand.course.fields.age_band).is_none()
    }

    /// The knives that a course plans with: the rack, or one of each type while no knife is known.
    pub fn planned(at_hand: &AtHand<'a>, source: KnifeSource) -> Vec<Candidate<'a>> {
        Candidate::all(at_hand, if at_hand.knows_no_knives() { KnifeSource::Types } else { source })
    }

    /// How many there are for the class; of a type that nobody counted yet, one for each student.
    pub fn how_many(&self, at_hand: &AtHand<'_>) -> u32 {
        if self.numbers.is_empty() { at_hand.class_size().max(1) } else { u32::try_from(self.numbers.len()).unwrap_or(u32::MAX) }
    }

    /// A usual knife of a type, for the hand that most are ground for.
    pub fn of_type(kind: &'a KnifeType) -> Candidate<'a> {
        Candidate {
            kind,
            length: kind.length.usual,
            heel_height: kind.heel_height,
            hand: (kind.edge == Edge::SingleBevel).then_some(Hand::Right),
            hollowed: false,
            sharp: true,
            numbers: Vec::new(),
            barred: 0,
        }
    }

    /// Label, e.g. `Flat chef's 210`.
    pub fn label(&self) -> String {
        self.kind.label(self.length)
    }

    /// Whether it is a knife of this model.
    pub fn is_model(&self, knife_type: &str, length: Millimetres) -> bool {
        self.kind.id == knife_type && self.length.is_about(length)
    }

    /// The candidate that a model names: the sharp one where there is one. A model that is there only
    /// dull stays the choice, so that its reason is shown. `None` where no model is named.
    ///
    /// # Errors
    /// A model that is not among the candidates.
    pub fn named(
        candidates: &[Candidate<'_>],
        knife_type: Option<&str>,
        length: Option<Millimetres>,
    ) -> Result<Option<usize>, Problem> {
        let (Some(kind), Some(length)) = (knife_type, length) else { return Ok(None) };
        let place = |sharp: bool| candidates.iter().position(|each| each.sharp == sharp && each.is_model(kind, length));
        let found = place(true).or_else(|| place(false));
        found.map(Some).ok_or_else(|| {
            Problem::new("/knife_type", "Knife", text![kind, " ", length], "is not on the rack", "a knife on the rack")
        })
    }
}

fn on_the_rack<'a>(at_hand: &AtHand<'a>) -> Vec<Candidate<'a>> {
    let mut groups: Vec<Candidate<'a>> = Vec::new();
    for knife in at_hand.knives.iter().filter(|knife| !knife.archived) {
        let Some(kind) = at_hand.catalogue.knife(&knife.fields.knife_type) else { continue };
        let sharp = knife.fields.edge_state == EdgeState::Sharp;
        let alike = groups.iter_mut().find(|group| {
            sharp
                && group.sharp
                && group.kind.id == kind.id
                && group.length == knife.fields.length
                && group.hand == knife.fields.hand
                && group.hollowed == knife.fields.hollowed
        });
        match alike {
            Some(group) => group.numbers.push(knife.fields.number.clone()),
            None => groups.push(Candidate {
                kind,
                length: knife.fields.length,
                heel_height: knife.fields.heel_height,
                hand: knife.fields.hand,
                hollowed: knife.fields.hollowed,
                sharp,
                numbers: vec![knife.fields.number.clone()],
                barred: 0,
            }),
        }
    }
    groups
}
