//! The drawn section: pieces inside the outline, as many as are counted, never over each other.

use crate::common::CATALOGUE;
use notch_core::catalogue::{CutFamily, Food, Shape, Target, TargetSize};
use notch_core::drawing::{FoodOutline, PieceGrid, SectionDrawing, flat_first_section, food_section, solid};
use notch_core::geometry::{work_flat_first, work_food};
use notch_core::units::Millimetres;
use proptest::prelude::*;

fn target(t: f64, w: f64, l: f64) -> Target {
    let exact = |size: f64| Some(TargetSize::Exact { size: Millimetres::new(size).unwrap() });
    Target { thickness: exact(t), width: exact(w), length: exact(l) }
}

/// Corners of each piece of a grid, in the outline's own millimetres.
fn pieces(grid: &PieceGrid) -> Vec<[(f64, f64); 4]> {
    let (sine, cosine) = grid.turn.to_radians().sin_cos();
    let at = |across: f64, down: f64| (grid.x + across * cosine - down * sine, grid.y + across * sine + down * cosine);
    let mut found = Vec::new();
    for row in 0..grid.rows {
        for column in 0..grid.columns {
            let (x, y) = (f64::from(column) * grid.piece_width, f64::from(row) * grid.piece_height);
            let (w, h) = (grid.piece_width, grid.piece_height);
            found.push([at(x, y), at(x + w, y), at(x + w, y + h), at(x, y + h)]);
        }
    }
    found
}

/// How far out a point is: at most 1 inside.
fn out_of(outline: FoodOutline, (x, y): (f64, f64)) -> f64 {
    match outline {
        FoodOutline::Ellipse { width, height } => {
            let (a, b) = (width.get() / 2.0, height.get() / 2.0);
            ((x - a) / a).hypot((y - b) / b)
        }
        FoodOutline::Rectangle { width, height } => {
            let (a, b) = (width.get() / 2.0, height.get() / 2.0);
            f64::max(((x - a) / a).abs(), ((y - b) / b).abs())
        }
        FoodOutline::Arch { width, .. } => {
            let r = width.get() / 2.0;
            if y > r * (1.0 + 1e-9) { f64::INFINITY } else { (x - r).hypot(y - r) / r }
        }
        FoodOutline::Rings { .. } => panic!("no pieces are drawn in rings"),
    }
}

fn inside(drawing: &SectionDrawing, what: &str) {
    for corner in drawing.pieces.iter().flat_map(pieces).flatten() {
        let out = out_of(drawing.outline, corner);
        assert!(out <= 1.0 + 1e-6, "{what}: {corner:?} is {out} of {:?}", drawing.outline);
    }
}

/// Whether two convex figures have an inside in common: no side of either parts them.
fn overlap(a: &[(f64, f64); 4], b: &[(f64, f64); 4]) -> bool {
    let parted_by = |one: &[(f64, f64); 4], other: &[(f64, f64); 4]| {
        (0..4).any(|side| {
            let ((x0, y0), (x1, y1)) = (one[side], one[(side + 1) % 4]);
            let (nx, ny) = (y1 - y0, x0 - x1);
            let along = |points: &[(f64, f64); 4]| {
                let all = points.map(|(x, y)| x * nx + y * ny);
                (all.iter().copied().fold(f64::INFINITY, f64::min), all.iter().copied().fold(f64::NEG_INFINITY, f64::max))
            };
            let ((a0, a1), (b0, b1)) = (along(one), along(other));
            let slack = 1e-6 * nx.hypot(ny);
            a1 <= b0 + slack || b1 <= a0 + slack
        })
    };
    !parted_by(a, b) && !parted_by(b, a)
}

fn drawn_food() -> impl Strategy<Value = &'static Food> {
    let foods: Vec<&Food> = CATALOGUE
        .foods
        .iter()
        .filter(|food| !matches!(food.shape, Shape::Bundle { .. }) && food.shape.layers().is_none())
        .collect();
    (0..foods.len()).prop_map(move |index| foods[index])
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(300))]

    #[test]
    fn squared_pieces_lie_inside_the_section(
        food in drawn_food(), t in 2.0f64..20.0, w in 2.0f64..20.0, l in 5.0f64..60.0, dice in any::<bool>(),
    ) {
        let cut = CATALOGUE.cut(if dice { "medium_dice" } else { "batonnet" }).unwrap();
        let target = if dice { target(t, t, t) } else { target(t, w, l) };
        let worked = work_food(food, cut, &target, &CATALOGUE.handling).unwrap();
        prop_assume!(!worked.blocks.is_empty());
        let drawing = food_section(food, cut, &target, &worked.blocks).unwrap();
        // An apple's cheeks are tiered along the stem: each is drawn at its own widest, in the ball's own disc.
        inside(&drawing, &food.id);
        let counted: u32 = drawing.pieces.iter().map(|grid| grid.columns * grid.rows).sum();
        let first = worked.blocks.first().map_or(0, |block| block.planks * block.sticks);
        let all: u32 = worked.blocks.iter().map(|block| block.planks * block.sticks).sum();
        if worked.blocks.first().is_some_and(|block| block.pieces > 0) {
            prop_assert!(counted == first || counted == all, "{counted} drawn of {first} or {all}");
        }
    }

    #[test]
    fn flat_first_pieces_lie_inside_and_on_the_flat(
        food in drawn_food(), t in 2.0f64..14.0, w in 2.0f64..14.0, l in 5.0f64..60.0,
    ) {
        let (cut, target) = (CATALOGUE.cut("batonnet").unwrap(), target(t, w, l));
        let Ok(kitchen) = work_flat_first(food, cut, &target, &CATALOGUE.handling) else { return Ok(()) };
        let Some(drawing) = flat_first_section(food, cut, &target, &kitchen) else { return Ok(()) };
        inside(&drawing, &food.id);
        let flat = kitchen.segments[0].height.get() - kitchen.segments[0].slice.get();
        for (_, y) in drawing.pieces.iter().flat_map(pieces).flatten() {
            prop_assert!(y <= flat + 1e-6, "{y} is under the flat at {flat}");
        }
    }

    #[test]
    fn no_piece_lies_over_another(food in drawn_food(), t in 4.0f64..20.0, w in 4.0f64..20.0, flat in any::<bool>()) {
        let (cut, target) = (CATALOGUE.cut("batonnet").unwrap(), target(t, w, 40.0));
        let worked = work_food(food, cut, &target, &CATALOGUE.handling).unwrap();
        let kitchen = work_flat_first(food, cut, &target, &CATALOGUE.handling).ok().filter(|_| flat);
        let drawing = match &kitchen {
            Some(kitchen) => flat_first_section(food, cut, &target, kitchen),
            None => food_section(food, cut, &target, &worked.blocks),
        };
        let all: Vec<_> = drawing.iter().flat_map(|drawing| &drawing.pieces).flat_map(pieces).take(120).collect();
        for (index, one) in all.iter().enumerate() {
            for other in &all[index + 1..] {
                prop_assert!(!overlap(one, other), "{}: {one:?} and {other:?}", food.id);
            }
        }
    }
}

#[test]
fn every_food_but_a_bundle_has_a_body_and_an_outline_of_its_size() {
    let cut = CATALOGUE.cuts.iter().find(|cut| cut.family == CutFamily::Slices).unwrap();
    for food in &CATALOGUE.foods {
        let target = target(5.0, 5.0, 5.0);
        let (body, drawing) = (solid(food), food_section(food, cut, &target, &[]));
        if matches!(food.shape, Shape::Bundle { .. } | Shape::Stems { .. }) {
            assert!(body.is_none() && drawing.is_none(), "{}", food.id);
            continue;
        }
        let (body, drawing) = (body.unwrap(), drawing.unwrap());
        assert!(drawing.pieces.is_empty());
        assert!((body.length.get() - food.length().get()).abs() < 1e-6, "{}", food.id);
        assert!((body.width.get() - food.width().get()).abs() < food.width().get() * 0.01, "{}", food.id);
        assert!((body.height.get() - food.shape.height().get()).abs() < food.shape.height().get() * 0.01, "{}", food.id);
        for [y, z] in &body.profile {
            assert!(y.abs() <= body.height.get() / 2.0 + 1e-9 && z.abs() <= body.width.get() / 2.0 + 1e-9, "{}", food.id);
        }
    }
}
