//! Checks a catalogue as a whole: every reference resolves, every figure is in range.

use thiserror::Error;

use super::mistakes::Mistakes;
use super::{
    BoardMaterial, Catalogue, CutFamily, CutForm, Dimension, Doctrines, Grip, Habit, Hold, Motion, SegmentKind, Shape, Standing,
    TargetSize,
};
use crate::units::Millimetres;

/// Why the data files are refused.
#[derive(Clone, Debug, PartialEq, Error)]
pub enum CatalogueError {
    /// A file that cannot be read at all.
    #[error("{file}: {why}")]
    Unreadable {
        /// Name of the file.
        file: &'static str,
        /// What the reader said.
        why: String,
    },
    /// Everything that is wrong with the figures and references.
    #[error("the data files have {} mistakes: {}", .0.len(), .0.join("; "))]
    Wrong(Vec<String>),
}

/// Ids of the diagnoses that the judge can give.
pub(crate) const DIAGNOSIS_IDS: [&str; 14] = [
    "too_thick",
    "too_thin",
    "wide_spread",
    "drift_up",
    "drift_down",
    "taper",
    "lengths_vary",
    "too_long",
    "too_short",
    "sticks_off",
    "planks_off",
    "too_few",
    "sound",
    "mixed",
];

/// Allergens that labels must name, by the statutory list.
pub const ALLERGENS: [&str; 14] = [
    "celery",
    "crustaceans",
    "egg",
    "fish",
    "gluten",
    "lupin",
    "milk",
    "molluscs",
    "mustard",
    "nuts",
    "peanut",
    "sesame",
    "soya",
    "sulphites",
];

/// Ids of the cautions that the rules give.
pub(crate) const RULE_CAUTIONS: [&str; 42] = [
    "rolls",
    "last_bit",
    "browns",
    "stains",
    "sticks",
    "slippery",
    "irregular",
    "quarter_core",
    "cut_from_inside",
    "white_ribs",
    "stem_clear",
    "hard_core",
    "stone_safe",
    "stand_on_flat",
    "rind_slips",
    "start_then_bridge",
    "heavy_blade",
    "long_strokes",
    "wash_between",
    "root_on",
    "turn_the_berry",
    "roll_tight",
    "grain",
    "crust_saw",
    "pin_bones",
    "own_board",
    "bone_care",
    "hot_chilli",
    "skin_slips",
    "tall_tap",
    "towards_self",
    "choked_back",
    "index_on_spine",
    "press_hands",
    "pivot_hand",
    "crush_wide",
    "peel_away",
    "cleaver_care",
    "single_bevel_hand",
    "one_sided_edge",
    "level_cut",
    "allergy",
];

pub(super) fn check(catalogue: &Catalogue) -> Result<(), CatalogueError> {
    let mut mistakes = Mistakes::default();
    mistakes.unique("knife", catalogue.knives.iter().map(|k| &k.id));
    mistakes.unique("food", catalogue.foods.iter().map(|f| &f.id));
    mistakes.unique("cut", catalogue.cuts.iter().map(|c| &c.id));
    mistakes.unique("set", catalogue.sets.iter().map(|s| &s.id));
    mistakes.unique("tolerance", catalogue.tolerances.iter().map(|t| &t.id));
    mistakes.unique("fault", catalogue.faults.iter().map(|f| &f.id));
    mistakes.unique("caution", catalogue.cautions.iter().map(|c| &c.id));
    mistakes.unique("question", catalogue.doctrines.iter().map(|q| &q.id));
    check_knives(catalogue, &mut mistakes);
    check_foods(catalogue, &mut mistakes);
    check_standards(catalogue, &mut mistakes);
    check_roster(catalogue, &mut mistakes);
    super::draft::check_draft(catalogue, &mut mistakes);
    check_words(catalogue, &mut mistakes);
    check_progress(catalogue, &mut mistakes);
    check_doctrines(catalogue, &mut mistakes);
    check_care(catalogue, &mut mistakes);
    if mistakes.0.is_empty() { Ok(()) } else { Err(CatalogueError::Wrong(mistakes.0)) }
}

fn check_knives(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    for knife in &catalogue.knives {
        let id = &knife.id;
        let length = knife.length;
        mistakes.unless(
            length.from >= Millimetres::whole(40)
                && length.from <= length.usual
                && length.usual <= length.to
                && length.to <= Millimetres::whole(400),
            || format!("knife {id}: lengths are not 40 ≤ from ≤ usual ≤ to ≤ 400"),
        );
        if let Some(angle) = knife.angle {
            mistakes.unless(angle.from >= 5.0 && angle.from <= angle.to && angle.to <= 30.0, || {
                format!("knife {id}: angles are not 5 ≤ from ≤ to ≤ 30")
            });
        }
        mistakes.unless((1..=5).contains(&knife.weight) && (1..=5).contains(&knife.stiffness), || {
            format!("knife {id}: weight and stiffness are 1 to 5")
        });
        mistakes.unless(!knife.motions.is_empty(), || format!("knife {id}: no motion"));
    }
}

fn check_foods(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    for food in &catalogue.foods {
        let id = &food.id;
        mistakes.unless(food.density > 0.05 && food.density < 3.0, || format!("food {id}: density"));
        mistakes.unless((1..=5).contains(&food.firmness), || format!("food {id}: firmness is 1 to 5"));
        let priced = food.price.is_none_or(|price| (0.0..=1000.0).contains(&price));
        mistakes.unless(priced, || format!("food {id}: a kilogram costs 0 to 1000"));
        if let Some(sold) = &food.sold {
            let named = (1..=30).contains(&sold.pack.trim().chars().count());
            mistakes.unless(named, || format!("food {id}: what it is sold as has 1 to 30 characters"));
            let weighs = (10.0..=50_000.0).contains(&sold.grams);
            mistakes.unless(weighs, || format!("food {id}: a {} weighs 10 to 50000 g", sold.pack));
            let whole = food.by_weight || sold.grams >= food.grams() * 0.9;
            mistakes.unless(!weighs || whole, || {
                format!("food {id}: nobody sells it in a {} of {:.0} g, one weighs {:.0} g", sold.pack, sold.grams, food.grams())
            });
        }
        mistakes.unless(food.trim.get() * 2.0 < food.length().get(), || format!("food {id}: trim"));
        let cuts = food.taught.iter().chain(&food.odd).chain(&food.in_hand).chain(food.pieces.keys());
        for cut in cuts {
            mistakes.unless(catalogue.cut(cut).is_some(), || format!("food {id}: cut “{cut}” is not there"));
        }
        for cut in &food.taught {
            mistakes.unless(!food.odd.contains(cut), || format!("food {id}: “{cut}” is both taught and odd"));
        }
        mistakes.unless(!food.taught.is_empty(), || format!("food {id}: no cut is taught on it"));
        let sliced = food.standing("slice") == Standing::No || food.slice.is_some() || food.pieces.contains_key("slice");
        mistakes.unless(sliced || food.standing("slice") == Standing::Odd, || format!("food {id}: how thick is a slice?"));
        for allergen in &food.allergens {
            mistakes.unless(ALLERGENS.contains(&allergen.as_str()), || format!("food {id}: allergen “{allergen}” is not known"));
        }
        let shares = food.edible > 0.0 && food.edible <= 1.0 && food.students_per_unit >= 1 && food.units_each >= 1;
        mistakes.unless(shares && (1..=8).contains(&food.opened.parts), || format!("food {id}: a share or a number of parts"));
        mistakes.unless(food.pieces.values().all(|[from, to]| *from >= 1 && from <= to), || format!("food {id}: pieces of one"));
        let sides = [food.height(), food.width(), food.length()];
        mistakes.unless(sides.iter().all(|s| (2.0..=600.0).contains(&s.get())), || format!("food {id}: sizes are 2 to 600 mm"));
        if let Shape::Ball { diameter, core: Some(core) } = food.shape {
            mistakes.unless(core < diameter, || format!("food {id}: core"));
        }
        if let Shape::Stalk { width, thickness, .. } = food.shape {
            mistakes.unless(thickness.get() <= width.get() / 2.0, || format!("food {id}: wall over half the width"));
        }
    }
}

fn check_roster(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    for allergen in catalogue.roster.allergens() {
        mistakes.unless(ALLERGENS.contains(&allergen), || format!("roster: allergen “{allergen}” is not known"));
    }
    for allergen in ALLERGENS {
        mistakes
            .unless(catalogue.roster.allergens().any(|known| known == allergen), || format!("roster: no word for {allergen}"));
    }
}

fn check_standards(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    for set in &catalogue.sets {
        for (cut, target) in &set.cuts {
            let here = format!("set {}, cut {cut}", set.id);
            mistakes.unless(catalogue.cut(cut).is_some(), || format!("{here}: there is no such cut"));
            let sides: Vec<TargetSize> = [Dimension::Thickness, Dimension::Width, Dimension::Length]
                .into_iter()
                .filter_map(|side| target.side(side))
                .collect();
            let counts = catalogue.cut(cut).is_some_and(|cut| cut.strand.is_some() && cut.form != CutForm::Slice);
            mistakes.unless(!sides.is_empty() || !counts, || format!("{here}: no size"));
            for side in sides {
                let sound = match side {
                    TargetSize::Range { from, to } => from < to,
                    _ => true,
                };
                let nominal = side.nominal().get();
                mistakes.unless(sound && (0.5..=150.0).contains(&nominal), || format!("{here}: size"));
            }
        }
    }
    for tolerance in &catalogue.tolerances {
        let sound = tolerance.share > 0.0 && tolerance.share < 1.0 && tolerance.even_cv > 0.0;
        mistakes.unless(sound, || format!("tolerance {}", tolerance.id));
    }
    for cut in &catalogue.cuts {
        mistakes.unless(cut.form.family() == cut.family, || {
            format!("cut {}: a {:?} is no cut of the family {:?}", cut.id, cut.form, cut.family)
        });
    }
    for strand in super::Strand::ALL {
        let mut rungs: Vec<u8> = catalogue.cuts.iter().filter(|c| c.strand == Some(strand)).map(|c| c.rung).collect();
        rungs.sort_unstable();
        let expected: Vec<u8> = (1..=rungs.len()).map(|rung| u8::try_from(rung).unwrap_or(u8::MAX)).collect();
        mistakes.unless(!rungs.is_empty() && rungs == expected, || {
            format!(
                "strand {}: its cuts stand on rungs {rungs:?}; each needs one of its own, from 1 without a gap",
                strand.name()
            )
        });
    }
    for cut in &catalogue.cuts {
        mistakes
            .unless(cut.family != CutFamily::Hand || cut.strand.is_none(), || format!("cut {}: hand work has no strand", cut.id));
    }
}

fn check_words(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    let handling = &catalogue.handling;
    let complete = handling.grips.len() == Grip::ALL.len()
        && handling.holds.len() == Hold::ALL.len()
        && handling.motions.len() == Motion::ALL.len()
        && handling.strokes_per_minute.len() == 4;
    mistakes.unless(complete, || "handling: a grip, hold, motion or pace has no entry".to_owned());
    mistakes.unless(handling.strokes_per_minute.values().all(|pace| (10.0..=400.0).contains(pace)), || {
        "handling: pace is 10 to 400 strokes a minute".to_owned()
    });
    let work = &handling.hand_work;
    let sizes = [work.turned_width, work.fan_step, work.pile_height, work.roll_length].map(crate::units::Millimetres::get);
    let sound = sizes.iter().all(|size| (1.0..=300.0).contains(size))
        && (2..=64).contains(&work.wedges)
        && work.wedges.is_multiple_of(2)
        && (3..=40).contains(&work.turned_faces)
        && (0.0..=1.0).contains(&work.turned_ends)
        && work.roll_grams > 0.0;
    mistakes.unless(sound, || "hand_work: a figure is out of range".to_owned());
    for id in DIAGNOSIS_IDS {
        mistakes.unless(catalogue.diagnoses.contains_key(id), || format!("diagnosis “{id}” is not there"));
    }
    for id in RULE_CAUTIONS {
        mistakes.unless(catalogue.caution(id).is_some(), || format!("caution “{id}” is not there"));
    }
    let kinds: Vec<SegmentKind> = catalogue.segments.iter().map(|segment| segment.kind).collect();
    mistakes.unless(kinds == SegmentKind::ALL, || "segments: not one of each kind, in order".to_owned());
    for segment in &catalogue.segments {
        mistakes.unless(segment.least >= 1 && segment.least <= segment.minutes, || {
            format!("segment {}: least minutes", segment.name)
        });
        let alike = catalogue.segments.iter().filter(|other| other.gives == segment.gives).count();
        mistakes.unless(alike == 1, || format!("segment {}: another one gives at the same place", segment.name));
    }
    for tool in &catalogue.tools {
        let places = tool.places.iter();
        let known = places.clone().flat_map(|place| &place.foods).all(|id| catalogue.food(id).is_some())
            && places.clone().flat_map(|place| &place.cuts).all(|id| catalogue.cut(id).is_some());
        mistakes.unless(known && !tool.places.is_empty(), || format!("tool {}: a food or cut that is not there", tool.id));
    }
    for part in &catalogue.parts {
        let sound = (0.0..=2.0).contains(&part.at.x) && (0.0..=1.0).contains(&part.at.y);
        mistakes.unless(sound, || format!("part {}: place", part.id));
    }
}

fn check_progress(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    let progress = &catalogue.progress;
    let sound = progress.clean_attempts >= 1
        && progress.true_pieces >= 1
        && progress.true_wilson > 0.0
        && progress.true_wilson < 1.0
        && progress.true_bias_share > 0.0
        && progress.even_attempts >= 1
        && progress.paced_factor >= 1.0
        && progress.held_days >= 1;
    mistakes.unless(sound, || "progress: a threshold is out of range".to_owned());
    let special = progress.ladder.iter().position(|rung| rung.special);
    mistakes.unless(special.is_none_or(|place| place + 1 == progress.ladder.len()), || {
        "progress: the special clearance is not the last rung of the ladder".to_owned()
    });
    mistakes
        .unless(!progress.ladder.is_empty() && progress.ladder.windows(2).all(|pair| pair[0].length < pair[1].length), || {
            "progress: the ladder does not rise".to_owned()
        });
}

/// The questions of the data file are those that the code asks, school by school; the others are
/// decided by a field of the course.
fn check_doctrines(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    for question in &catalogue.doctrines {
        let coded = Doctrines::QUESTIONS.iter().find(|(id, _)| *id == question.id).map(|(_, doctrines)| *doctrines);
        let ids: Vec<&str> = question.doctrines.iter().map(|doctrine| doctrine.id.as_str()).collect();
        let sound = match &question.decided_by {
            Some(field) => ids.is_empty() && coded.is_none() && ["standard_set", "tolerance"].contains(&field.as_str()),
            None => coded.is_some_and(|doctrines| doctrines == ids),
        };
        mistakes.unless(sound, || format!("question {}: its doctrines are not those that the rules know", question.id));
    }
    for (id, _) in Doctrines::QUESTIONS {
        mistakes.unless(catalogue.doctrines.iter().any(|question| question.id == *id), || format!("question {id} is not there"));
    }
}

fn check_care(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    let care = &catalogue.care;
    let complete = care.board.len() == BoardMaterial::ALL.len() && care.habit.len() == Habit::ALL.len();
    mistakes.unless(complete, || "care: a board or habit has no entry".to_owned());
    let wears = care.firmness.iter().chain(care.board.values().map(|b| &b.wear)).chain(care.habit.values().map(|h| &h.wear));
    mistakes.unless(wears.into_iter().all(|wear| (0.1..=1000.0).contains(wear)), || "care: wear is 0.1 to 1000".to_owned());
    let sound = care.hone.strokes_from >= 1
        && care.hone.strokes_from <= care.hone.strokes_to
        && care.stone.due_minutes > 0.0
        && care.stone.due_minutes < care.stone.overdue_minutes
        && care.stone.due_days >= 1
        && !care.stone.grits.is_empty()
        && care.serrated.due_minutes > 0.0
        && care.serrated.due_days >= 1
        && care.test.paper_cuts >= 1
        && care.angle.least > 0.0
        && care.angle.least < care.angle.most;
    mistakes.unless(sound, || "care: a threshold is out of range".to_owned());
}

#[cfg(test)]
mod tests {
    use super::super::load::Sources;
    use super::*;

    fn mistakes_with(change: impl Fn(&mut Catalogue)) -> Vec<String> {
        let mut catalogue = Catalogue::shipped().unwrap();
        change(&mut catalogue);
        match check(&catalogue) {
            Err(CatalogueError::Wrong(mistakes)) => mistakes,
            other => panic!("expected mistakes, got {other:?}"),
        }
    }

    #[test]
    fn a_dangling_reference_is_named() {
        let mistakes = mistakes_with(|c| c.foods[0].taught.push("no_such_cut".into()));
        assert_eq!(mistakes, ["food carrot: cut “no_such_cut” is not there"]);
    }

    #[test]
    fn all_mistakes_are_told_at_once() {
        let mistakes = mistakes_with(|c| {
            c.foods[0].firmness = 9;
            c.knives[0].weight = 0;
            c.cuts[1].rung = 1;
        });
        assert_eq!(mistakes.len(), 3, "{mistakes:?}");
    }

    #[test]
    fn an_order_of_learning_in_a_circle_is_refused() {
        let mistakes = mistakes_with(|c| {
            let baton = c.draft.techniques.iter_mut().find(|technique| technique.cut == "baton").unwrap();
            baton.after = vec!["julienne".into()];
        });
        assert_eq!(mistakes.len(), 1, "{mistakes:?}");
        assert!(mistakes[0].ends_with("stands on itself"), "{mistakes:?}");
    }

    #[test]
    fn a_doubled_id_is_refused() {
        let mistakes = mistakes_with(|c| {
            let again = c.faults[0].clone();
            c.faults.push(again);
        });
        assert!(mistakes[0].contains("there twice"));
    }

    #[test]
    fn an_unknown_field_is_refused_with_the_file() {
        let typo = Sources::SHIPPED.foods.replacen("firmness = 4", "firmnes = 4", 1);
        let error = Catalogue::load(Sources { foods: &typo, ..Sources::SHIPPED }).unwrap_err();
        assert!(error.to_string().starts_with("foods.toml"), "{error}");
    }
}
