//! Where the food of a lesson goes: from what is bought, through the cuts that feed each other, to what is eaten.

use serde::Serialize;

use super::needs::{ExerciseNeed, Fed, Worked};
use crate::catalogue::{Food, Tint};
use crate::records::EndUse;

/// What a place of the flow is.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FlowKind {
    /// What is bought.
    Bought,
    /// What students cut.
    Cut,
    /// What the instructor shows.
    Shown,
    /// What is spare.
    Spare,
    /// Trimmings.
    Trimmings,
    /// What becomes of it.
    End,
}

/// A place of the flow.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FlowNode {
    /// What it is.
    pub kind: FlowKind,
    /// In words.
    pub label: String,
    /// Column from the left, 0 for what is bought.
    pub column: u32,
    /// Grams that go through it.
    pub grams: f64,
}

/// Grams that go from one place to another.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FlowLink {
    /// Index of the place that it comes from.
    pub from: usize,
    /// Index of the place that it goes to.
    pub to: usize,
    /// Grams.
    pub grams: f64,
    /// What it is, e.g. `peel`.
    pub label: String,
}

/// The flow of one food.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FoodFlow {
    /// Id of the food.
    pub food: String,
    /// Name.
    pub name: String,
    /// The colour that it is drawn in.
    pub tint: Tint,
    /// What becomes of it at the end.
    pub end: EndUse,
    /// Places, those further left first.
    pub nodes: Vec<FlowNode>,
    /// What goes between them.
    pub links: Vec<FlowLink>,
}

/// Least grams that are drawn.
const LEAST: f64 = 0.05;

/// Units of a food that are bought.
#[derive(Clone, Copy, Debug)]
pub(super) struct Units {
    pub students: u32,
    pub demonstration: u32,
    pub spare: u32,
}

struct Drawing {
    nodes: Vec<FlowNode>,
    links: Vec<FlowLink>,
}

impl Drawing {
    fn node(&mut self, kind: FlowKind, label: String, column: u32) -> usize {
        self.nodes.push(FlowNode { kind, label, column, grams: 0.0 });
        self.nodes.len() - 1
    }

    fn link(&mut self, from: usize, to: usize, grams: f64, label: &str) {
        if grams > LEAST {
            self.links.push(FlowLink { from, to, grams, label: label.to_owned() });
        }
    }

    /// What leaves a place must have come to it: the grams of each place, and those that hold nothing taken out.
    fn finish(mut self) -> (Vec<FlowNode>, Vec<FlowLink>) {
        for (index, node) in self.nodes.iter_mut().enumerate() {
            let of = |end: fn(&FlowLink) -> usize| self.links.iter().filter(|l| end(l) == index).map(|l| l.grams).sum::<f64>();
            node.grams = of(|link| link.to).max(of(|link| link.from));
        }
        let mut places = Vec::new();
        let mut kept = Vec::new();
        for node in self.nodes {
            places.push(kept.len());
            if node.grams > LEAST {
                kept.push(node);
            }
        }
        for link in &mut self.links {
            link.from = places.get(link.from).copied().unwrap_or(0);
            link.to = places.get(link.to).copied().unwrap_or(0);
        }
        (kept, self.links)
    }
}

/// The flow of one food through the exercises with it; `exercises` are their indices among all.
pub(super) fn flow(
    (food, what, end): (&Food, &str, EndUse),
    exercises: &[usize],
    (all, needs, fed): (&[Worked<'_>], &[ExerciseNeed], &[Fed]),
    units: Units,
) -> FoodFlow {
    let mut drawing = Drawing { nodes: Vec::new(), links: Vec::new() };
    let bought = drawing.node(FlowKind::Bought, what.to_owned(), 0);
    let depth = |index: usize| {
        let mut at = index;
        let mut depth = 1;
        while let Some(before) = fed.iter().find(|fed| fed.into == at) {
            at = before.from;
            depth += 1;
        }
        depth
    };
    let deepest = exercises.iter().map(|index| depth(*index)).max().unwrap_or(1);
    let cuts: Vec<(usize, usize)> = exercises
        .iter()
        .filter_map(|index| Some((*index, drawing.node(FlowKind::Cut, all.get(*index)?.cut.name.clone(), depth(*index)))))
        .collect();
    let trimmings = drawing.node(FlowKind::Trimmings, food.scraps.clone(), deepest + 1);
    let last = drawing.node(FlowKind::End, end.words().to_owned(), deepest + 1);
    let unit = food.grams();
    let mut left: Vec<(usize, f64)> = Vec::new();
    for (index, node) in &cuts {
        let (Some(worked), Some(need)) = (all.get(*index), needs.get(*index)) else { continue };
        let gross = need.grams_students;
        let off = trimmed(worked, gross / worked.food.grams().max(f64::MIN_POSITIVE));
        drawing.link(bought, *node, gross, "");
        for (label, grams) in off {
            drawing.link(*node, trimmings, grams, label);
        }
        let mut kept = gross - off.iter().map(|(_, grams)| grams).sum::<f64>();
        if let Some(from) = fed.iter().find(|fed| fed.into == *index)
            && let Some((_, before)) = left.iter_mut().find(|(place, _)| *place == from.from)
            && let Some((_, source)) = cuts.iter().find(|(place, _)| *place == from.from)
        {
            let goes = *before * from.share;
            drawing.link(*source, *node, goes, "");
            *before -= goes;
            kept += goes;
        }
        left.push((*index, kept));
    }
    for (index, kept) in left {
        if let Some((_, node)) = cuts.iter().find(|(place, _)| *place == index) {
            drawing.link(*node, last, kept, "");
        }
    }
    let shown = drawing.node(FlowKind::Shown, "shown".to_owned(), 1);
    drawing.link(bought, shown, f64::from(units.demonstration) * unit, "");
    drawing.link(shown, last, f64::from(units.demonstration) * unit, "");
    let spare = drawing.node(FlowKind::Spare, "not cut, back to the kitchen".to_owned(), deepest + 1);
    let cut: f64 = exercises.iter().filter_map(|index| needs.get(*index)).map(|need| need.grams_students).sum();
    drawing.link(bought, spare, f64::from(units.spare) * unit, "spare");
    drawing.link(bought, spare, (f64::from(units.students) * unit - cut).max(0.0), "not cut of the students' own");
    let (nodes, links) = drawing.finish();
    FoodFlow { food: food.id.clone(), name: food.name.clone(), tint: food.tint, end, nodes, links }
}

/// What comes off so many units, by name: peel, ends, and what is squared off or cored; of what is not counted all
/// that is not eaten.
fn trimmed(worked: &Worked<'_>, units: f64) -> [(&'static str, f64); 3] {
    let gross = units * worked.food.grams();
    let Some(waste) = worked.figures.waste.as_ref().filter(|_| worked.figures.units_students > 0) else {
        return [("", 0.0), ("what is not eaten", gross * (1.0 - worked.food.edible).max(0.0)), ("", 0.0)];
    };
    let of = units / f64::from(worked.figures.units_students);
    let peel = worked.peel() * units;
    let ends = (waste.ends_grams * of).min(gross - peel);
    let squared = (waste.squaring_grams * of).min(gross - peel - ends);
    [("peel", peel), ("ends", ends.max(0.0)), ("squared off", squared.max(0.0))]
}
