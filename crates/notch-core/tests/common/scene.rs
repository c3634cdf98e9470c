//! One way of making a cut, to be changed at any point, and what a rule says of it.

#![allow(dead_code, reason = "each test file takes what it needs")]

use notch_core::catalogue::{BoardMaterial, Doctrines, Grip, Hold, Motion, Shape, Third};
use notch_core::eligibility::Trainee;
use notch_core::fitting::{Candidate, Case, Effect, Job, rules};
use notch_core::people::{AgeBand, Hand, Pace};
use notch_core::resources::BoardSize;
use notch_core::units::Millimetres;

use super::{CATALOGUE, mm};

/// A case to be changed: a chef's knife that pushes through a carrot, pinch and claw.
pub struct Scene {
    pub food: &'static str,
    pub cut: &'static str,
    pub knife: &'static str,
    pub length: Option<u16>,
    /// Other than the type's own.
    pub heel_height: Option<f64>,
    /// Other than the food's own; a block of that height takes its place.
    pub food_height: Option<f64>,
    pub sharp: bool,
    pub hollowed: bool,
    pub ground_for: Option<Hand>,
    pub motion: Motion,
    pub grip: Grip,
    pub hold: Hold,
    pub third: Third,
    pub age_band: AgeBand,
    pub pace: Pace,
    pub doctrines: Doctrines,
    pub board: BoardMaterial,
    /// Length and width of the boards, mm.
    pub board_size: Option<(u16, u16)>,
    pub trainee: Option<Trainee>,
    /// Students of the class who may not hold the knife, of ten.
    pub barred: u32,
}

pub fn scene(food: &'static str, cut: &'static str, knife: &'static str) -> Scene {
    Scene {
        food,
        cut,
        knife,
        length: None,
        heel_height: None,
        food_height: None,
        sharp: true,
        hollowed: false,
        ground_for: None,
        motion: Motion::Push,
        grip: Grip::Pinch,
        hold: Hold::Claw,
        third: Third::Middle,
        age_band: AgeBand::Adult,
        pace: Pace::Learner,
        doctrines: Doctrines::default(),
        board: BoardMaterial::Wood,
        board_size: None,
        trainee: None,
        barred: 0,
    }
}

impl Scene {
    pub fn with(mut self, change: impl FnOnce(&mut Self)) -> Self {
        change(&mut self);
        self
    }

    /// What the rule says, and in which words; nothing where it is silent.
    pub fn finds(&self, rule: &str) -> Option<(Effect, String)> {
        let kind = CATALOGUE.knife(self.knife).unwrap();
        let mut food = CATALOGUE.food(self.food).unwrap().clone();
        if let Some(height) = self.food_height {
            let (length, width, height) = (food.length(), food.width(), mm(height));
            food.shape = Shape::Block { length, width, height };
            food.opened.height = height;
        }
        let cut = CATALOGUE.cut(self.cut).unwrap();
        let target = CATALOGUE.target_of("eighth", cut, &food).unwrap();
        let job = Job {
            age_band: self.age_band,
            pace: self.pace,
            doctrines: self.doctrines,
            board: self.board,
            board_size: self
                .board_size
                .map(|(length, width)| BoardSize { length: Millimetres::whole(length), width: Millimetres::whole(width) }),
            board_allowed: CATALOGUE.care.board_allowed(self.board),
            trainee: self.trainee,
            class_size: 10,
            ..Job::plain(&CATALOGUE, &food, cut, target)
        };
        let knife = Candidate {
            length: self.length.map_or(kind.length.usual, Millimetres::whole),
            heel_height: self.heel_height.map_or(kind.heel_height, mm),
            hand: self.ground_for,
            hollowed: self.hollowed,
            sharp: self.sharp,
            numbers: vec!["1".into()],
            barred: self.barred,
            ..Candidate::of_type(kind)
        };
        let case = Case {
            job: &job,
            knife: &knife,
            motion: self.motion,
            work: job.work(self.motion),
            grip: self.grip,
            hold: self.hold,
            third: self.third,
            quiet: false,
        };
        let rule = rules().find(|each| each.id == rule).unwrap_or_else(|| panic!("no rule {rule}"));
        let said = rule.says(&case);
        // Scores are compared without words: what is found must not depend on that.
        let quiet = rule.says(&Case { quiet: true, ..case });
        assert_eq!(said.as_ref().map(|(effect, _)| *effect), quiet.map(|(effect, _)| effect), "{}", rule.id);
        let (effect, words) = said?;
        let words = words.to_string();
        assert!(words.ends_with('.') && words.len() > 10, "{}: “{words}”", rule.id);
        Some((effect, words))
    }
}
