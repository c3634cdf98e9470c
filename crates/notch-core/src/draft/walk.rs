//! One walk through a plan: which hard rules it breaks, and what speaks for it and against it.

use serde::Serialize;

use super::choices::Choice;
use super::drafting::{Drafting, Place, Plan, bit};
use super::goal::GoalState;
use super::hard_rule::HardRule;
use crate::text;
use crate::text::Text;

/// What is weighed.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Weighed {
    /// A technique is taught for the first time.
    New,
    /// A goal stands on it.
    OnTheWay,
    /// A second new thing.
    SecondNew,
    /// It comes back in time.
    Back,
    /// What was new the last time is reviewed.
    ReviewLast,
    /// Once more.
    Practice,
    /// It feeds the next.
    Feeds,
    /// One more food.
    Food,
    /// The choice by itself: ease, students without a knife.
    Choice,
    /// Minutes left over.
    Spare,
    /// It stands where it stood.
    Stays,
    /// A goal.
    Goal,
}

/// What a block is at its place.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum BlockKind {
    /// Taught for the first time.
    New,
    /// Taught before.
    Review,
    /// No technique that a course is drafted from.
    Other,
}

/// Something that the walk came upon: where, and what.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Said {
    /// A hard rule is broken.
    Broken {
        /// Which.
        rule: HardRule,
        /// Index of the session.
        session: usize,
        /// Index of the block in it; none where it is the session as a whole.
        place: Option<usize>,
        /// By how much: minutes or techniques too many, else 1. A plan that breaks it less is the better one.
        by: u32,
    },
    /// Points.
    Points {
        /// What for.
        what: Weighed,
        /// Index of the session; none for a goal.
        session: Option<usize>,
        /// Index of the block in it.
        place: Option<usize>,
        /// How many.
        points: i32,
    },
}

/// What a plan is worth: rules broken less first, then more points.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub struct Value {
    broken: std::cmp::Reverse<u32>,
    points: i64,
}

impl Value {
    /// By how much rules are broken, all together; 0 where every rule holds.
    pub const fn broken(self) -> u32 {
        self.broken.0
    }

    /// Points.
    pub const fn points(self) -> i64 {
        self.points
    }
}

const MOST: usize = 32;

/// Foods that are counted, by their number; more than a course is drafted from.
const MOST_FOODS: usize = 64;

/// Sessions with the same food after which one more weighs no more.
const OFTEN: u8 = 4;

/// What was taught up to a session.
struct Taught {
    /// Bits of the techniques taught in earlier sessions.
    before: u32,
    /// Day on which each was learnt.
    learnt: [i64; MOST],
    /// Day on which each was last there; none for what is known without having been there.
    seen: [Option<i64>; MOST],
    /// Best review so far, for each day that it should come back.
    back: [[i32; 2]; MOST],
    /// Food of the last time, as the index of its choice.
    last: [usize; MOST],
    /// Sessions so far with each food, as [`Drafting::foods`] numbers them.
    foods: [u8; MOST_FOODS],
    /// Bits of what was new in the session before.
    new_last: u32,
}

/// A session as it is gone through.
struct Visit<'s> {
    session: usize,
    held: bool,
    /// Bits of the techniques so far, and of the new ones among them.
    here: u32,
    new: u32,
    reviews: u32,
    minutes: u32,
    /// Hundredths of the school's money.
    cost: u32,
    say: &'s mut dyn FnMut(Said),
}

impl Visit<'_> {
    /// A broken rule; what is held already is past mending.
    fn broken(&mut self, rule: HardRule, place: Option<usize>) {
        self.broken_by(rule, place, 1);
    }

    /// The same by so much; not at all by 0.
    fn broken_by(&mut self, rule: HardRule, place: Option<usize>, by: u32) {
        if !self.held && by > 0 {
            (self.say)(Said::Broken { rule, session: self.session, place, by });
        }
    }

    fn points(&mut self, what: Weighed, place: Option<usize>, points: i32) {
        if points != 0 {
            (self.say)(Said::Points { what, session: Some(self.session), place, points });
        }
    }
}

impl Drafting<'_> {
    /// What a plan is worth.
    pub fn value(&self, plan: &Plan) -> Value {
        let (mut broken, mut points) = (0, 0);
        self.walk(plan, &mut |said| match said {
            Said::Broken { by, .. } => broken += by,
            Said::Points { points: more, .. } => points += i64::from(more),
        });
        Value { broken: std::cmp::Reverse(broken), points }
    }

    /// Everything that speaks for a plan and against it.
    pub fn said(&self, plan: &Plan) -> Vec<Said> {
        let mut all = Vec::new();
        self.walk(plan, &mut |said| all.push(said));
        all
    }

    /// Goes through the sessions in the order of their numbers.
    fn walk(&self, plan: &Plan, say: &mut dyn FnMut(Said)) {
        let mut taught = self.known_before();
        for (session, places) in plan.0.iter().enumerate() {
            self.session(session, places, &mut taught, say);
        }
        for index in 0..self.aims.len() {
            let (state, weights) = (self.goal_state(plan, index), &self.rules.weights);
            let share = weights.towards * i32::from(state.planned.min(state.needed)) / i32::from(state.needed.max(1));
            let points = if state.in_time { weights.goal } else { share };
            say(Said::Points { what: Weighed::Goal, session: None, place: None, points });
        }
    }

    fn known_before(&self) -> Taught {
        let mut taught = Taught {
            before: 0,
            learnt: [0; MOST],
            seen: [None; MOST],
            back: [[0; 2]; MOST],
            last: [usize::MAX; MOST],
            foods: [0; MOST_FOODS],
            new_last: 0,
        };
        for (technique, known) in self.known.iter().enumerate().take(MOST) {
            if let Some(day) = known {
                taught.before |= bit(technique) | self.easier_than(technique);
                taught.learnt[technique] = *day;
                taught.seen[technique] = Some(*day);
            }
        }
        taught
    }

    fn session(&self, session: usize, places: &[Place], taught: &mut Taught, say: &mut dyn FnMut(Said)) {
        let held = self.sessions.get(session).is_some_and(|session| session.held);
        let mut visit = Visit { session, held, here: 0, new: 0, reviews: 0, minutes: 0, cost: 0, say };
        for (place, at) in places.iter().enumerate() {
            let Some(choice) = self.choices.get(at.choice) else { continue };
            visit.minutes += u32::from(choice.minutes);
            visit.cost = visit.cost.saturating_add(choice.cost);
            self.by_itself(&mut visit, places, place, at.choice, taught);
            let Some(technique) = choice.technique else { continue };
            if visit.here & bit(technique) != 0 {
                visit.broken(HardRule::Twice, Some(place));
                continue;
            }
            visit.here |= bit(technique);
            if taught.before & bit(technique) == 0 {
                self.new_here(&mut visit, place, technique, taught);
            } else {
                self.once_more(&mut visit, place, technique, taught);
            }
            if self.is_fed(places, at.choice) {
                visit.points(Weighed::Feeds, Some(place), self.rules.weights.feeds);
            }
            // The same food as the last time teaches less than the next harder one.
            if taught.last[technique % MOST] == at.choice {
                visit.points(Weighed::Choice, Some(place), self.rules.weights.same_food);
            }
            taught.last[technique % MOST] = at.choice;
        }
        self.as_a_whole(&mut visit, places, taught);
        let day = self.days.get(session).copied().unwrap_or(0);
        let mut left = visit.here;
        while left != 0 {
            let technique = left.trailing_zeros() as usize;
            taught.seen[technique % MOST] = Some(day);
            taught.before |= bit(technique) | self.easier_than(technique);
            left &= left - 1;
        }
        let mut there = 0u64;
        places.iter().for_each(|at| there |= 1 << self.food_number(at.choice));
        for (number, sessions) in taught.foods.iter_mut().enumerate() {
            *sessions = sessions.saturating_add(u8::from(there & (1 << number) != 0));
        }
        taught.new_last = visit.new;
    }

    /// What is said of a block wherever it stands.
    fn by_itself(&self, visit: &mut Visit<'_>, places: &[Place], place: usize, choice: usize, taught: &Taught) {
        let weights = &self.rules.weights;
        let Some(chosen) = self.choices.get(choice) else { return };
        for (rule, _) in &chosen.faults {
            visit.broken(*rule, Some(place));
        }
        visit.points(Weighed::Choice, Some(place), chosen.points);
        if self.stood.0.get(visit.session).is_some_and(|stood| stood.iter().any(|each| each.choice == choice)) {
            visit.points(Weighed::Stays, Some(place), weights.stays);
        }
        let food = |each: &Place| self.choices.get(each.choice).map(|choice| &choice.food);
        if !places.iter().take(place).any(|each| food(each) == Some(&chosen.food)) {
            let before = taught.foods[self.food_number(choice)].min(OFTEN);
            let further = if place > 0 { weights.food } else { 0 };
            visit.points(Weighed::Food, Some(place), further + weights.food_again * i32::from(before));
        }
    }

    /// Whether a session breaks a rule by what stands in it alone: a fault of a block, one technique twice, minutes,
    /// techniques. What was held is past that.
    pub(super) fn overfull(&self, plan: &Plan, session: usize) -> bool {
        let (Some(places), Some(free)) = (plan.0.get(session), self.sessions.get(session)) else { return false };
        let (mut minutes, mut here) = (0, 0);
        for choice in places.iter().filter_map(|at| self.choices.get(at.choice)) {
            let technique = choice.technique.map_or(0, bit);
            if !choice.faults.is_empty() || here & technique != 0 {
                return !free.held;
            }
            here |= technique;
            minutes += u32::from(choice.minutes);
        }
        !free.held && (minutes > u32::from(free.minutes) || places.len() > self.most_techniques())
    }

    /// Number of the food of a choice.
    fn food_number(&self, choice: usize) -> usize {
        self.foods.get(choice).copied().unwrap_or(0) % MOST_FOODS
    }

    const fn is_alone(&self) -> bool {
        self.sessions.len() == 1
    }

    /// New techniques that a session may have.
    fn most_new(&self) -> usize {
        if self.is_alone() { self.rules.limits.new_alone } else { self.rules.limits.new }
    }

    /// Techniques that a session may have.
    fn most_techniques(&self) -> usize {
        self.rules.limits.techniques.max(if self.is_alone() { self.rules.limits.new_alone } else { 0 })
    }

    fn new_here(&self, visit: &mut Visit<'_>, place: usize, technique: usize, taught: &mut Taught) {
        let Some(lane) = self.lanes.get(technique) else { return };
        visit.new |= bit(technique);
        // A course of one session goes its whole way in it.
        let before = if self.is_alone() { taught.before | (visit.here & !bit(technique)) } else { taught.before };
        if !lane.stands_on(before) {
            visit.broken(HardRule::Order, Some(place));
        }
        visit.points(Weighed::New, Some(place), lane.worth);
        if lane.on_the_way {
            visit.points(Weighed::OnTheWay, Some(place), self.rules.weights.on_the_way);
        }
        taught.learnt[technique % MOST] = self.days.get(visit.session).copied().unwrap_or(0);
    }

    fn once_more(&self, visit: &mut Visit<'_>, place: usize, technique: usize, taught: &mut Taught) {
        let day = self.days.get(visit.session).copied().unwrap_or(0);
        visit.reviews += 1;
        // Who has learnt the harder one has nothing to learn, or to come back to, in an easier one.
        let Some(seen) = taught.seen[technique % MOST] else { return };
        let gap = usize::try_from(day - taught.learnt[technique % MOST]).unwrap_or(0);
        for (best, back) in taught.back[technique % MOST].iter_mut().zip(&self.back) {
            let found = back.get(gap).copied().unwrap_or(0);
            if found > *best {
                visit.points(Weighed::Back, Some(place), found - *best);
                *best = found;
            }
        }
        let weights = &self.rules.weights;
        let due = i64::from(weights.practice_days.max(1));
        let since = i32::try_from((day - seen).clamp(0, due)).unwrap_or(0);
        visit.points(Weighed::Practice, Some(place), weights.practice * since / i32::from(weights.practice_days.max(1)));
    }

    /// Bits of the techniques of the same strand that one stands on: who does it can do them.
    fn easier_than(&self, technique: usize) -> u32 {
        self.lanes.get(technique).map_or(0, |lane| lane.easier)
    }

    /// Whether a block begins with what another of its session leaves, on the same food.
    fn is_fed(&self, places: &[Place], choice: usize) -> bool {
        let Some(chosen) = self.choices.get(choice) else { return false };
        let into = chosen.technique.map_or(0, bit);
        let feeds = |each: &Place| {
            let other = self.choices.get(each.choice)?;
            Some(other.food == chosen.food && self.lanes.get(other.technique?)?.feeds & into != 0)
        };
        places.iter().any(|each| feeds(each) == Some(true))
    }

    fn as_a_whole(&self, visit: &mut Visit<'_>, places: &[Place], taught: &Taught) {
        let weights = &self.rules.weights;
        for _ in 1..visit.new.count_ones() {
            visit.points(Weighed::SecondNew, None, if self.is_alone() { 0 } else { weights.second_new });
        }
        if visit.here & taught.new_last != 0 {
            visit.points(Weighed::ReviewLast, None, weights.review_last);
        }
        let free = self.sessions.get(visit.session).map_or(0, |session| u32::from(session.minutes));
        let spare = i32::try_from(free.saturating_sub(visit.minutes) / 5).unwrap_or(i32::MAX);
        visit.points(Weighed::Spare, None, weights.spare.saturating_mul(spare));
        let beyond = |count: usize, most: usize| u32::try_from(count.saturating_sub(most)).unwrap_or(u32::MAX);
        visit.broken_by(HardRule::New, None, beyond(visit.new.count_ones() as usize, self.most_new()));
        if visit.new != 0 && taught.before != 0 && visit.reviews == 0 {
            visit.broken(HardRule::ReviewFirst, None);
        }
        visit.broken_by(HardRule::Minutes, None, visit.minutes.saturating_sub(free));
        let money = self.food_budget.unwrap_or(u32::MAX);
        visit.broken_by(HardRule::Budget, None, visit.cost.saturating_sub(money).div_ceil(100));
        visit.broken_by(HardRule::Techniques, None, beyond(places.len(), self.most_techniques()));
    }

    /// What a plan expects of a goal.
    ///
    /// Each session with the technique is one session of practice; the last one of a Held goal counts only when
    /// it comes so many days after the one before it in the reckoning.
    pub fn goal_state(&self, plan: &Plan, goal: usize) -> GoalState {
        let Some(aim) = self.aims.get(goal) else { return GoalState { needed: 0, planned: 0, expected: None, in_time: false } };
        let mut state =
            GoalState { needed: aim.needed, planned: 0, expected: (aim.needed == 0).then_some(0), in_time: aim.needed == 0 };
        let (mut counted, mut paced_on) = (0, None);
        for (session, places) in plan.0.iter().enumerate() {
            // What was shown up to now is in the evidence already.
            if self.sessions.get(session).is_some_and(|session| session.held) {
                continue;
            }
            let there =
                |place: &Place| self.choices.get(place.choice).is_some_and(|choice| choice.technique == Some(aim.technique));
            if counted >= aim.needed || !places.iter().any(there) {
                continue;
            }
            let day = self.days.get(session).copied().unwrap_or(0);
            let last = counted + 1 == aim.needed;
            let waits = |days: i64| last && paced_on.is_some_and(|paced| day - paced < days);
            if aim.held_days.is_some_and(waits) {
                continue;
            }
            counted += 1;
            paced_on = Some(day);
            if aim.by.is_some_and(|by| session <= by) {
                state.planned = counted;
            }
            if counted == aim.needed {
                state.expected = Some(session);
                state.in_time = aim.by.is_some_and(|by| session <= by);
            }
        }
        state
    }

    /// Number of a session.
    pub(crate) fn session_number(&self, index: usize) -> u16 {
        self.sessions.get(index).map_or(0, |session| session.number)
    }

    /// Days from one session to another.
    pub(crate) fn days_between(&self, from: usize, to: usize) -> i64 {
        let day = |index: usize| self.days.get(index).copied().unwrap_or(0);
        day(to) - day(from)
    }

    /// Whether a block is new at its place, and in which session its technique was.
    pub(crate) fn kind_of(&self, plan: &Plan, session: usize, place: usize) -> (BlockKind, Option<usize>) {
        let technique = |at: &Place| self.choices.get(at.choice).and_then(|choice| choice.technique);
        let Some(own) = plan.0.get(session).and_then(|places| places.get(place)).and_then(technique) else {
            return (BlockKind::Other, None);
        };
        let there = |places: &Vec<Place>| places.iter().any(|at| technique(at) == Some(own));
        let first = plan.0.iter().take(session).position(there);
        // What was shown in a session that was held is evidence by now: there the plan alone says what was new.
        let held = self.sessions.get(session).is_some_and(|session| session.held);
        let taught = first.is_some() || !held && self.taught_before(plan, session) & bit(own) != 0;
        (if taught { BlockKind::Review } else { BlockKind::New }, first)
    }

    /// Bits of what was taught before a session.
    fn taught_before(&self, plan: &Plan, session: usize) -> u32 {
        let places = plan.0.iter().take(session).flatten();
        let techniques = places.filter_map(|place| self.choices.get(place.choice)?.technique);
        techniques.fold(self.known_before().before, |taught, technique| taught | bit(technique) | self.easier_than(technique))
    }

    /// Why something new can stand in a session: what it stands on was there.
    pub(crate) fn new_in_words(&self, plan: &Plan, session: usize, choice: &Choice) -> Text {
        let lane = choice.technique.and_then(|index| self.lanes.get(index));
        // What it follows in its own strand says more than the strand below.
        let wanted = lane.map_or(0, |lane| match lane.after {
            0 => lane.below.iter().fold(0, |all, below| all | below),
            after => after,
        });
        let of = |(index, places): (usize, &Vec<Place>)| {
            let found = places
                .iter()
                .filter_map(|at| self.choices.get(at.choice))
                .find(|choice| choice.technique.is_some_and(|technique| wanted & bit(technique) != 0))?;
            Some((self.session_number(index), self.catalogue.cut(&found.cut)?.name.as_str()))
        };
        match plan.0.iter().enumerate().take(session).rev().find_map(of) {
            Some((number, before)) => text!["New: it follows ", before, " of session ", number, "."],
            None if wanted & self.known_before().before != 0 => Text::from("New: what it stands on, the class knows."),
            None => Text::from("New: one to begin with."),
        }
    }

    /// Why a rule stands broken, in words.
    pub fn words_of(&self, plan: &Plan, rule: HardRule, session: usize, place: Option<usize>) -> Text {
        let choice = place.and_then(|place| self.choices.get(plan.0.get(session)?.get(place)?.choice));
        let name = |id: &str| self.catalogue.cut(id).map_or_else(|| id.to_owned(), |cut| cut.name.clone());
        let title = choice.map(|choice| name(&choice.cut)).unwrap_or_default();
        let number = self.sessions.get(session).map_or(0, |session| session.number);
        if let Some((_, words)) = choice.and_then(|choice| choice.faults.iter().find(|(fault, _)| *fault == rule)) {
            return words.clone();
        }
        match rule {
            HardRule::Order => self.order_in_words(plan, session, choice.and_then(|choice| choice.technique), &title),
            HardRule::New => text!["Session ", number, " has more than ", self.most_new(), " new techniques."],
            HardRule::ReviewFirst => text!["Session ", number, " has something new and reviews nothing: review first."],
            HardRule::Minutes => {
                let places = plan.0.get(session).map(Vec::as_slice).unwrap_or_default();
                let minutes =
                    places.iter().filter_map(|place| self.choices.get(place.choice)).map(|choice| u32::from(choice.minutes));
                let free = self.sessions.get(session).map_or(0, |session| session.minutes);
                text!["Session ", number, " needs ", minutes.sum::<u32>(), " minutes of practice and has ", free, "."]
            }
            HardRule::Budget => {
                let places = plan.0.get(session).map(Vec::as_slice).unwrap_or_default();
                let costs = places.iter().filter_map(|place| self.choices.get(place.choice)).map(|choice| choice.cost);
                let cost = costs.fold(0, u32::saturating_add);
                let money = |hundredths: u32| format!("{:.2}", f64::from(hundredths) / 100.0);
                let may = money(self.food_budget.unwrap_or(0));
                text!["The food of session ", number, " costs about ", money(cost), "; it may cost ", may, "."]
            }
            HardRule::Techniques => text!["Session ", number, " has more than ", self.most_techniques(), " techniques."],
            HardRule::Twice => text![title, " stands twice in session ", number, "."],
            HardRule::Taught | HardRule::Allergy | HardRule::Board | HardRule::Knife | HardRule::Clearance => Text::default(),
        }
    }

    /// What is missing before a technique: one of those that it stands on, in an earlier session.
    fn order_in_words(&self, plan: &Plan, session: usize, technique: Option<usize>, title: &str) -> Text {
        let Some(lane) = technique.and_then(|index| self.lanes.get(index)) else { return Text::default() };
        let taught = self.taught_before(plan, session);
        let names = |bits: u32| {
            let of = self.rules.techniques.iter().enumerate().filter(|(index, _)| bits & bit(*index) != 0);
            let names = of.filter_map(|(_, technique)| Some(self.catalogue.cut(&technique.cut)?.name.as_str()));
            names.collect::<Vec<_>>().join(" or ")
        };
        if lane.after != 0 && lane.after & taught == 0 {
            return text![crate::words::capital(title), " comes after ", names(lane.after), ", in an earlier session."];
        }
        let below = lane.strand.stands_on().iter().zip(&lane.below).find(|(_, bits)| *bits & taught == 0);
        let strand = below.map_or("", |(strand, _)| strand.name());
        text![crate::words::capital(title), " comes after something of ", strand, ", in an earlier session."]
    }
}
