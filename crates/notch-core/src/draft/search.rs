//! The search: filled session by session, then bettered by single steps until none betters it.

use super::drafting::{Drafting, Place, Plan};
use super::walk::Value;

/// A single step from one plan to another.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Step {
    Add { session: usize, choice: usize },
    Drop { session: usize, place: usize },
    Move { session: usize, place: usize, to: usize },
    Swap { one: (usize, usize), other: (usize, usize) },
    Food { session: usize, place: usize, choice: usize },
}

/// Most rounds of betterment; each betters the plan, so that a search ends in any case.
const MOST_ROUNDS: usize = 400;

impl Drafting<'_> {
    /// Drafts the course: from what stands there, with what is pinned left where it is.
    ///
    /// # Complexity
    /// O(rounds × (blocks² + sessions × choices) × blocks); a round tries every single step.
    pub fn draft(&self) -> Plan {
        let mut plan = self.stood.clone();
        self.shed(&mut plan);
        for session in 0..plan.0.len() {
            while let Some(better) = self.best(&plan, self.additions(session)) {
                plan = better;
            }
        }
        for _ in 0..MOST_ROUNDS {
            if !self.bettered(&mut plan) {
                break;
            }
        }
        plan
    }

    /// Takes out, one by one, what stood there and breaks a rule, the worst first. What only pins break stays.
    fn shed(&self, plan: &mut Plan) {
        let mut pins = plan.clone();
        let open: Vec<(usize, usize)> = self.open_places(plan).collect();
        for (session, place) in open.into_iter().rev() {
            pins.0.get_mut(session).map(|places| places.remove(place));
        }
        let least = self.value(&pins).broken();
        while self.value(plan).broken() > least {
            let drops = self.open_places(plan).filter_map(|(session, place)| {
                let mut after = Plan::default();
                self.after(plan, Step::Drop { session, place }, &mut after).then_some(after)
            });
            match drops.max_by_key(|after| self.value(after)) {
                Some(after) => *plan = after,
                None => return,
            }
        }
    }

    /// One round: every single step once, each taken as soon as it betters the plan. Whether any did.
    fn bettered(&self, plan: &mut Plan) -> bool {
        let mut any = false;
        let mut value = self.value(plan);
        let mut tried = Plan::default();
        for step in self.steps(plan) {
            // Steps were listed for the plan as it was: one that no longer fits is passed over.
            if !self.after(plan, step, &mut tried) || value.broken() == 0 && self.breaks_at_once(&tried, step) {
                continue;
            }
            let found = self.value(&tried);
            if found > value {
                std::mem::swap(plan, &mut tried);
                value = found;
                any = true;
            }
        }
        any
    }

    /// Every single step from a plan.
    fn steps(&self, plan: &Plan) -> Vec<Step> {
        let open: Vec<(usize, usize)> = self.open_places(plan).collect();
        let sessions = || (0..plan.0.len()).filter(|session| !self.is_held(*session));
        let mut steps: Vec<Step> = sessions().flat_map(|session| self.additions(session)).collect();
        for (index, &(session, place)) in open.iter().enumerate() {
            steps.push(Step::Drop { session, place });
            steps.extend(sessions().filter(|to| *to != session).map(|to| Step::Move { session, place, to }));
            let others = open.iter().skip(index + 1).filter(|other| other.0 != session);
            steps.extend(others.map(|&other| Step::Swap { one: (session, place), other }));
            let at = plan.0.get(session).and_then(|places| places.get(place));
            let technique = at.and_then(|at| self.choices.get(at.choice)?.technique);
            let choices = technique.and_then(|technique| self.lanes.get(technique)).map(|lane| lane.choices.as_slice());
            steps.extend(choices.unwrap_or_default().iter().map(|&choice| Step::Food { session, place, choice }));
        }
        steps
    }

    /// Single steps of a plan, each with what it leads to: what a law of the search is tried with.
    pub fn neighbours(&self, plan: &Plan) -> impl Iterator<Item = Plan> {
        self.steps(plan).into_iter().filter_map(|step| {
            let mut after = Plan::default();
            self.after(plan, step, &mut after).then_some(after)
        })
    }

    fn additions(&self, session: usize) -> impl Iterator<Item = Step> {
        let open = !self.is_held(session);
        let choices = self.lanes.iter().flat_map(|lane| lane.choices.iter().copied());
        choices.filter(move |_| open).map(move |choice| Step::Add { session, choice })
    }

    fn is_held(&self, session: usize) -> bool {
        self.sessions.get(session).is_none_or(|session| session.held)
    }

    /// Blocks that the search may touch.
    fn open_places(&self, plan: &Plan) -> impl Iterator<Item = (usize, usize)> {
        let of = |(session, places): (usize, &Vec<Place>)| {
            let open: Vec<(usize, usize)> =
                places.iter().enumerate().filter(|(_, at)| !at.pinned).map(|(place, _)| (session, place)).collect();
            open
        };
        let all: Vec<(usize, usize)> =
            plan.0.iter().enumerate().filter(|(session, _)| !self.is_held(*session)).flat_map(of).collect();
        all.into_iter()
    }

    fn best(&self, plan: &Plan, steps: impl Iterator<Item = Step>) -> Option<Plan> {
        let mut best: (Value, Option<Plan>) = (self.value(plan), None);
        let mut tried = Plan::default();
        for step in steps {
            if self.after(plan, step, &mut tried) && !(best.0.broken() == 0 && self.breaks_at_once(&tried, step)) {
                let found = self.value(&tried);
                if found > best.0 {
                    best = (found, Some(tried.clone()));
                }
            }
        }
        best.1
    }

    /// The plan after a step, written into `into`; `false` where the step does not fit it.
    fn after(&self, plan: &Plan, step: Step, into: &mut Plan) -> bool {
        into.0.clone_from(&plan.0);
        let free = |plan: &Plan, session: usize, place: usize| {
            plan.0.get(session).and_then(|places| places.get(place)).copied().filter(|at| !at.pinned)
        };
        match step {
            Step::Add { session, choice } => {
                let Some(places) = into.0.get_mut(session) else { return false };
                places.push(Place { choice, pinned: false });
            }
            Step::Drop { session, place } => {
                if free(plan, session, place).is_none() {
                    return false;
                }
                into.0.get_mut(session).map(|places| places.remove(place));
            }
            Step::Move { session, place, to } => {
                let (Some(at), true) = (free(plan, session, place), to < into.0.len()) else { return false };
                into.0.get_mut(session).map(|places| places.remove(place));
                if let Some(places) = into.0.get_mut(to) {
                    places.push(at);
                }
            }
            Step::Swap { one, other } => {
                let (Some(at), Some(there)) = (free(plan, one.0, one.1), free(plan, other.0, other.1)) else { return false };
                if at.choice == there.choice {
                    return false;
                }
                self.put(into, one, there);
                self.put(into, other, at);
            }
            Step::Food { session, place, choice } => {
                let technique = |choice: usize| self.choices.get(choice).and_then(|choice| choice.technique);
                let at = free(plan, session, place);
                if at.is_none_or(|at| at.choice == choice || technique(at.choice) != technique(choice)) {
                    return false;
                }
                self.put(into, (session, place), Place { choice, pinned: false });
            }
        }
        true
    }

    /// Whether a step leaves a session that breaks a rule whatever stands in the others: no whole walk is needed
    /// to know that a plan in which every rule holds is not bettered by it.
    fn breaks_at_once(&self, after: &Plan, step: Step) -> bool {
        match step {
            Step::Drop { .. } => false,
            Step::Add { session, .. } | Step::Food { session, .. } | Step::Move { to: session, .. } => {
                self.overfull(after, session)
            }
            Step::Swap { one, other } => self.overfull(after, one.0) || self.overfull(after, other.0),
        }
    }

    #[allow(clippy::unused_self, reason = "reads as a step of the search")]
    fn put(&self, plan: &mut Plan, (session, place): (usize, usize), at: Place) {
        if let Some(there) = plan.0.get_mut(session).and_then(|places| places.get_mut(place)) {
            *there = at;
        }
    }
}
