//! A question of drafting, prepared: sessions, choices, what is known, what is wanted.

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::choices::{Choice, Kitchen};
use super::goal::{ClassEvidence, GoalFields};
use crate::at_hand::AtHand;
use crate::catalogue::{Catalogue, DraftRules, NotchKind, Strand, Technique};
use crate::records::Amount;

/// A session of a course.
#[derive(Clone, Debug, PartialEq)]
pub struct DraftSession {
    /// Its number in the course, from 1.
    pub number: u16,
    /// Its day.
    pub day: Date,
    /// Minutes that are left for practice.
    pub minutes: u16,
    /// Held, or begun: what was taught in it stands.
    pub held: bool,
}

/// A technique on a food in a session.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct DraftBlock {
    /// Index of the session.
    pub session: usize,
    /// Id of the cut.
    pub cut: String,
    /// Id of the food.
    pub food: String,
    /// Stays where it is when the course is drafted again.
    pub pinned: bool,
    /// How much each student cuts, where somebody chose it.
    #[serde(default)]
    pub amount: Option<Amount>,
    /// The instructor's own minutes for each student.
    #[serde(default)]
    pub own_minutes: Option<f64>,
}

/// What a course is drafted from.
#[derive(Clone, Debug)]
pub struct DraftQuestion<'a> {
    /// Sessions, in the order of their numbers.
    pub sessions: Vec<DraftSession>,
    /// What stands in them.
    pub blocks: Vec<DraftBlock>,
    /// What is to be reached.
    pub goals: Vec<GoalFields>,
    /// What the class has shown.
    pub evidence: &'a ClassEvidence,
}

/// Most sessions that a course is drafted for.
const MOST_DAYS: usize = 800;

/// A block in its place.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Place {
    /// Index of the choice.
    pub choice: usize,
    /// Stays where it is.
    pub pinned: bool,
}

/// Blocks by session.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Plan(pub Vec<Vec<Place>>);

/// A goal as the search looks at it.
#[derive(Clone, Debug)]
pub(super) struct Aim {
    pub technique: usize,
    pub needed: u16,
    /// Days between the last session but one and the last, for Held.
    pub held_days: Option<i64>,
    /// Index of the last session that counts; none where no session is so early.
    pub by: Option<usize>,
}

/// A technique as the search looks at it.
#[derive(Clone, Debug)]
pub(super) struct Lane {
    pub strand: Strand,
    pub worth: i32,
    /// Bits of the techniques of which one was taught before; 0 for none.
    pub after: u32,
    /// Bits of each strand below, of which one technique was taught before.
    pub below: Vec<u32>,
    /// Bits of those of its strand that it stands on, and that these stand on.
    pub easier: u32,
    /// A goal stands on it.
    pub on_the_way: bool,
    /// Bits of the techniques that begin with what it leaves.
    pub feeds: u32,
    /// Its choices.
    pub choices: Vec<usize>,
}

impl Lane {
    /// Whether what it stands on is among what was taught.
    pub fn stands_on(&self, taught: u32) -> bool {
        (self.after == 0 || self.after & taught != 0) && self.below.iter().all(|below| below & taught != 0)
    }
}

/// The question, prepared: choices worked out once, dates as numbers.
#[derive(Clone, Debug)]
pub struct Drafting<'a> {
    pub(super) rules: &'a DraftRules,
    pub(super) catalogue: &'a Catalogue,
    pub(super) sessions: Vec<DraftSession>,
    /// Days from the first session.
    pub(super) days: Vec<i64>,
    pub(super) choices: Vec<Choice>,
    pub(super) lanes: Vec<Lane>,
    pub(super) aims: Vec<Aim>,
    /// Day on which a technique that the class knows was last tried.
    pub(super) known: Vec<Option<i64>>,
    /// What stood there before.
    pub(super) stood: Plan,
    /// Number of the food of each choice.
    pub(super) foods: Vec<usize>,
    /// What the food of a session may cost, in hundredths of the school's money.
    pub(super) food_budget: Option<u32>,
    /// Points of a review by days since it was learnt, for each of the days it should come back.
    pub(super) back: [Vec<i32>; 2],
}

impl<'a> Drafting<'a> {
    /// Prepares a question. Blocks of sessions, cuts or foods that are not there are left out.
    pub fn of(at_hand: &AtHand<'a>, question: &DraftQuestion<'_>) -> Drafting<'a> {
        let (catalogue, rules) = (at_hand.catalogue, &at_hand.catalogue.draft);
        let candidates = Kitchen::candidates(at_hand);
        let kitchen = Kitchen::of(at_hand, &candidates);
        let mut choices = Vec::new();
        let mut lanes = lanes(catalogue);
        for (index, technique) in rules.techniques.iter().enumerate() {
            for choice in kitchen.of_technique(index, technique) {
                if let Some(lane) = lanes.get_mut(index).filter(|_| choice.faults.is_empty()) {
                    lane.choices.push(choices.len());
                }
                choices.push(choice);
            }
        }
        let mut stood = Plan(vec![Vec::new(); question.sessions.len()]);
        for block in &question.blocks {
            let (Some(food), Some(cut)) = (catalogue.food(&block.food), catalogue.cut(&block.cut)) else { continue };
            let Some(session) = stood.0.get_mut(block.session) else { continue };
            let usual = |choice: &Choice| {
                choice.technique.is_some()
                    && choice.cut == block.cut
                    && choice.food == block.food
                    && block.amount.is_none_or(|amount| amount == choice.amount)
                    && (block.own_minutes.is_none() || block.own_minutes == choice.own_minutes)
            };
            let choice = choices.iter().position(usual).unwrap_or_else(|| {
                let technique = rules.techniques.iter().position(|technique| technique.cut == block.cut);
                let usual = technique.and_then(|index| rules.techniques.get(index)?.minutes_each);
                choices.push(Choice { technique, ..kitchen.choice(food, cut, block.amount, block.own_minutes, usual) });
                choices.len() - 1
            });
            session.push(Place { choice, pinned: block.pinned });
        }
        let start = question.sessions.first().map_or(Date::MIN, |session| session.day);
        let since = |day: Date| i64::from(start.until(day).map_or(0, |span| span.get_days()));
        let known = rules.techniques.iter().map(|technique| {
            let found = question.evidence.known.iter().find(|(cut, _)| *cut == technique.cut);
            found.map(|(_, day)| since(*day))
        });
        let mut drafting = Drafting {
            rules,
            catalogue,
            days: question.sessions.iter().map(|session| since(session.day)).collect(),
            known: known.collect(),
            back: rules.weights.review_days.map(|after| back(after, rules.weights.review)),
            food_budget: at_hand.course.fields.resources.food_budget.map(|money| (money * 100.0).floor() as u32),
            sessions: question.sessions.clone(),
            foods: food_numbers(&choices),
            choices,
            lanes,
            aims: Vec::new(),
            stood,
        };
        drafting.aim(&question.goals, question.evidence);
        drafting
    }

    /// Takes goals in.
    pub(super) fn aim(&mut self, goals: &[GoalFields], evidence: &ClassEvidence) {
        let aim = |goal: &GoalFields| {
            let technique = self.rules.techniques.iter().position(|technique| technique.cut == goal.cut)?;
            let by = self.sessions.iter().rposition(|session| session.number <= goal.by);
            let held_days = (goal.notch == NotchKind::Held).then_some(self.catalogue.progress.held_days);
            Some(Aim { technique, needed: evidence.sessions_needed(self.catalogue, goal), held_days, by })
        };
        let aims: Vec<Aim> = goals.iter().filter_map(aim).collect();
        for aim in &aims {
            self.mark_the_way(aim.technique);
        }
        self.aims = aims;
    }

    fn mark_the_way(&mut self, technique: usize) {
        let Some(lane) = self.lanes.get_mut(technique).filter(|lane| !lane.on_the_way) else { return };
        lane.on_the_way = true;
        let (after, below) = (lane.after, lane.below.clone());
        for bits in std::iter::once(after).chain(below) {
            // Of several ways the most worthwhile.
            let open = (0..self.lanes.len()).filter(|index| bits & bit(*index) != 0);
            let open = open.filter(|index| self.lanes.get(*index).is_some_and(|lane| !lane.choices.is_empty()));
            if let Some(best) = open.max_by_key(|index| self.lanes.get(*index).map_or(0, |lane| lane.worth)) {
                self.mark_the_way(best);
            }
        }
    }

    /// The choices.
    pub fn choices(&self) -> &[Choice] {
        &self.choices
    }

    /// What stood there before.
    pub const fn stood(&self) -> &Plan {
        &self.stood
    }

    /// The plan as blocks.
    pub fn blocks(&self, plan: &Plan) -> Vec<DraftBlock> {
        let of = |(session, places): (usize, &Vec<Place>)| -> Vec<DraftBlock> {
            let block = |place: &Place| {
                let choice = self.choices.get(place.choice)?;
                let (cut, food) = (choice.cut.clone(), choice.food.clone());
                let (amount, own_minutes) = (Some(choice.amount), choice.own_minutes);
                Some(DraftBlock { session, cut, food, pinned: place.pinned, amount, own_minutes })
            };
            places.iter().filter_map(block).collect()
        };
        plan.0.iter().enumerate().flat_map(of).collect()
    }
}

/// Foods of choices, numbered as they come.
fn food_numbers(choices: &[Choice]) -> Vec<usize> {
    let mut foods: Vec<&str> = Vec::new();
    let mut number = |food| {
        foods.iter().position(|each| *each == food).unwrap_or_else(|| {
            foods.push(food);
            foods.len() - 1
        })
    };
    choices.iter().map(|choice| number(choice.food.as_str())).collect()
}

pub(super) const fn bit(index: usize) -> u32 {
    1 << (index % 32)
}

fn lanes(catalogue: &Catalogue) -> Vec<Lane> {
    let rules = &catalogue.draft;
    let bits = |wanted: &dyn Fn(&Technique) -> bool| {
        let found = rules.techniques.iter().enumerate().filter(|(_, technique)| wanted(technique));
        found.fold(0, |bits, (index, _)| bits | bit(index))
    };
    let lane = |technique: &Technique| {
        let fed = |into: &str| rules.feeds.iter().any(|feeds| feeds.from == technique.cut && feeds.into == into);
        Lane {
            strand: technique.strand,
            worth: technique.worth,
            after: bits(&|each| technique.after.contains(&each.cut)),
            below: technique.strand.stands_on().iter().map(|below| bits(&|each| each.strand == *below)).collect(),
            easier: easier(rules, technique),
            on_the_way: false,
            feeds: bits(&|each| fed(&each.cut)),
            choices: Vec::new(),
        }
    };
    rules.techniques.iter().map(lane).collect()
}

/// Bits of the techniques of its strand that one stands on, near or far.
fn easier(rules: &DraftRules, technique: &Technique) -> u32 {
    let (mut found, mut open) = (0, vec![technique]);
    while let Some(one) = open.pop() {
        for (index, each) in rules.techniques.iter().enumerate() {
            if each.strand == technique.strand && one.after.contains(&each.cut) && found & bit(index) == 0 {
                found |= bit(index);
                open.push(each);
            }
        }
    }
    found
}

/// Points of a review for each day since it was learnt: all on the day itself, less the further off it is, by
/// the ratio of the two, as forgetting goes.
fn back(after: u16, points: i32) -> Vec<i32> {
    let wanted = f64::from(after.max(1)).ln();
    let on = |day: usize| (f64::from(points) * (-((day as f64).ln() - wanted).abs()).exp()).round() as i32;
    std::iter::once(0).chain((1..MOST_DAYS).map(on)).collect()
}
