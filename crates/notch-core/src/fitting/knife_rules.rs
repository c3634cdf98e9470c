//! Rules about the blade itself: what it is made for, edge, length, weight, profile.

use super::rule::{Said, any_job, any_way, say};
use super::{Candidate, Case, Effect, PINCH, Rule, TRAVEL};
use crate::catalogue::{
    BoardWork, CutFamily, CutForm, Edge, FishSlices, FoodTrait, Grip, Jointing, Motion, Nature, Profile, Skin, Standing,
    TomatoEdge, Work,
};
use crate::eligibility::Barrier;
use crate::people::AgeBand;
use crate::text::Text;
use crate::units::Millimetres;
use crate::words::capital;
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "length.age",
        text: "A child's blade has 130 mm at the most.",
        about: |job| job.age_band == AgeBand::Child,
        takes: any_way,
        check: age,
    },
    Rule {
        id: "edge.dull",
        text: "A knife that failed its edge test stays out until it passes.",
        about: any_job,
        takes: |knife, _| !knife.sharp,
        check: dull,
    },
    Rule {
        id: "board.in_hand_blade",
        text: "A turning blade, a peeler and scissors never work as a board knife.",
        about: any_job,
        takes: |knife, motion| knife.kind.board == BoardWork::None && motion.on_board() && motion != Motion::Snip,
        check: in_hand_blade,
    },
    Rule {
        id: "board.small_blade",
        text: "A short light blade takes only small soft food on the board.",
        about: |job| job.cut.family != CutFamily::Hand,
        takes: |knife, motion| knife.kind.board == BoardWork::Small && motion.on_board(),
        check: small_blade,
    },
    Rule {
        id: "edge.teeth",
        text: "Teeth for a crust, and for a tough outside over a soft inside while it is on.",
        about: any_job,
        takes: |knife, _| knife.kind.edge == Edge::Serrated,
        check: teeth,
    },
    Rule {
        id: "length.travel",
        text: "The blade is longer than the cut by 25 mm of travel, less 25 mm under a pinch.",
        about: |job| job.cut.family != CutFamily::Hand,
        takes: |_, motion| motion.on_board() && !matches!(motion, Motion::Snip | Motion::Score | Motion::Crush),
        check: travel,
    },
    Rule {
        id: "board.child_blade",
        text: "A child's knife takes soft and medium food up to 60 mm across.",
        about: any_job,
        takes: |knife, motion| knife.kind.for_children && motion.on_board(),
        check: child_blade,
    },
    Rule {
        id: "blade.firmness",
        text: "Hard food wants a heavy stiff blade; a light or narrow one binds and wanders.",
        about: any_job,
        takes: |knife, motion| knife.kind.edge != Edge::Serrated && motion.on_board(),
        check: firmness,
    },
    Rule {
        id: "edge.plain_on_tough",
        text: "A plain edge slips on a rind and crushes a crust.",
        about: |job| job.lies.skin_on,
        takes: |knife, motion| knife.kind.edge != Edge::Serrated && motion.on_board(),
        check: plain_on_tough,
    },
    Rule {
        id: "edge.teeth_true_faces",
        text: "Teeth leave no true faces, and do not chop.",
        about: any_job,
        takes: |knife, _| knife.kind.edge == Edge::Serrated,
        check: teeth_true_faces,
    },
    Rule {
        id: "blade.made_for",
        text: "Each type has the work that it is made for.",
        about: any_job,
        takes: any_way,
        check: made_for,
    },
    Rule {
        id: "blade.common",
        text: "Of knives that do the work alike the commoner one leads.",
        about: any_job,
        takes: |knife, _| knife.kind.common > 0,
        check: common,
    },
    Rule {
        id: "blade.special",
        text: "A knife of special clearance never leads where an ordinary one does the work as well.",
        about: any_job,
        takes: |knife, _| knife.kind.special,
        check: special,
    },
    Rule {
        id: "cut.odd",
        text: "A cut that is odd for a food is possible, and never proposed.",
        about: |job| job.standing != Standing::Taught,
        takes: any_way,
        check: odd,
    },
    Rule {
        id: "edge.single_bevel",
        text: "A single-bevel edge is for raw fish, in one hand.",
        about: any_job,
        takes: |knife, _| knife.kind.edge == Edge::SingleBevel,
        check: single_bevel,
    },
    Rule {
        id: "length.in_hand",
        text: "A blade that cuts in the hand has 100 mm at the most.",
        about: any_job,
        takes: |knife, motion| motion == Motion::InHandPull && knife.length > Millimetres::whole(100),
        check: in_hand_length,
    },
    Rule {
        id: "blade.flexible",
        text: "A flexible blade follows bone and skin; in anything else it bends.",
        about: any_job,
        takes: |knife, _| knife.kind.stiffness <= 1,
        check: flexible,
    },
    Rule {
        id: "blade.flat_edge",
        text: "A flat edge, or a flat heel, meets the board in one go and leaves no joined pieces.",
        about: |job| matches!(job.cut.family, CutFamily::Strips | CutFamily::Dice | CutFamily::Slices),
        takes: |knife, motion| {
            let profile = knife.kind.profile;
            knife.kind.edge != Edge::Serrated && motion.on_board() && (profile.is_flat() || profile == Profile::GentleBelly)
        },
        check: flat_edge,
    },
    Rule {
        id: "blade.knuckles",
        text: "A tall blade gives room for the knuckles.",
        about: |job| !matches!(job.cut.family, CutFamily::Hand | CutFamily::Break) && !job.is_level(),
        takes: |knife, motion| {
            is_downward(motion) && !(Millimetres::whole(30)..Millimetres::whole(40)).contains(&knife.heel_height)
        },
        check: knuckles,
    },
    Rule {
        id: "blade.low",
        text: "A narrow blade sinks into tall food and wanders.",
        about: |job| job.lies.height > Millimetres::whole(60),
        takes: |knife, motion| knife.heel_height < Millimetres::whole(40) && is_downward(motion),
        check: low_blade,
    },
    Rule {
        id: "blade.silverskin",
        text: "A narrow point slides under silverskin; a tall blade takes meat with it.",
        about: |job| job.cut.form == CutForm::Trimmed,
        takes: any_way,
        check: silverskin,
    },
    Rule {
        id: "blade.fine_work",
        text: "Fine cuts want a thin blade; a heavy cleaver is not for them.",
        about: |job| job.thinnest().is_some(),
        takes: |knife, _| knife.kind.weight >= 5 || has_thin_edge(knife),
        check: fine_work,
    },
    Rule {
        id: "blade.hard_stem",
        text: "A thin edge chips on a hard stem.",
        about: |job| job.food.is(FoodTrait::HardStem) && job.cut.form.meets_whole(),
        takes: |knife, _| knife.kind.angle.is_some_and(|angle| angle.from < 15.0),
        check: hard_stem,
    },
    Rule {
        id: "blade.bone",
        text: "Bone chips a thin or tall edge: stiff and narrow through the joint.",
        about: |job| job.food.is(FoodTrait::Bone),
        takes: |_, motion| motion.on_board() && motion != Motion::Snip,
        check: bone,
    },
    Rule {
        id: "blade.hollowed",
        text: "Hollowed sides let sticky slices go.",
        about: |job| job.food.is(FoodTrait::Sticks),
        takes: |knife, motion| knife.hollowed && motion.on_board(),
        check: hollowed,
    },
    Rule {
        id: "blade.tiny_food",
        text: "Very small food wants a short blade.",
        about: |job| job.food.length() <= Millimetres::whole(50) && !matches!(job.cut.form, CutForm::Minced | CutForm::Crushed),
        takes: |_, motion| motion.on_board(),
        check: tiny_food,
    },
    Rule {
        id: "blade.crush",
        text: "Only a wide blade crushes with its flat.",
        about: any_job,
        takes: |knife, motion| motion == Motion::Crush && knife.heel_height < Millimetres::whole(40),
        check: crush_width,
    },
    Rule {
        id: "blade.long_slices",
        text: "Thin slices of fish and meat want a long thin blade drawn once.",
        about: |job| matches!(job.cut.form, CutForm::Slice | CutForm::Portioned),
        takes: |knife, _| knife.kind.profile == Profile::LongNarrow,
        check: long_slices,
    },
    Rule {
        id: "blade.peeler_shape",
        text: "A fixed peeler for long straight food, a swivel one for round.",
        about: |job| matches!(job.cut.form, CutForm::Peeled | CutForm::Zest),
        takes: |_, motion| motion == Motion::PeelStroke,
        check: peeler_shape,
    },
];

/// A blade comes down through the food, knuckles beside it.
const fn is_downward(motion: Motion) -> bool {
    matches!(motion, Motion::Push | Motion::Rock | Motion::Tap | Motion::Pull)
}

/// An edge ground thin enough for the finest work.
fn has_thin_edge(knife: &Candidate<'_>) -> bool {
    knife.kind.angle.is_some_and(|angle| angle.from <= 12.0)
}

fn dull(case: &Case<'_>) -> Said {
    Some((Refuse, say!(case, Barrier::Dull { numbers: case.knife.numbers.join(", ") }.words())))
}

fn made_for(case: &Case<'_>) -> Said {
    let (kind, work) = (case.knife.kind, case.work);
    Some(if kind.best.contains(&work) {
        (For(16), say!(case, capital(&kind.name), ": made for ", work.name(), "."))
    } else if kind.good.contains(&work) {
        (For(5), say!(case, capital(&kind.name), ": does ", work.name(), " too."))
    } else if let Some(own) = kind.best.first().or(kind.good.first()) {
        (Against(55), say!(case, capital(&kind.name), ": for ", own.name(), ", not for ", work.name(), "."))
    } else {
        (Against(55), say!(case, capital(&kind.name), ": not for ", work.name(), "."))
    })
}

fn common(case: &Case<'_>) -> Said {
    Some((For(case.knife.kind.common), say!(case, "A knife that classes have.")))
}

fn special(case: &Case<'_>) -> Said {
    (!case.knife.kind.best.contains(&case.work))
        .then(|| (Against(14), say!(case, "It needs a clearance of its own; an ordinary knife does this as well.")))
}

fn odd(case: &Case<'_>) -> Said {
    match case.job.standing {
        Standing::Taught => None,
        Standing::Odd => Some((Against(12), say!(case, case.title(), ": possible, and not what it is taught on."))),
        Standing::No => Some((Refuse, say!(case, case.title(), ": that is no cut of this food."))),
    }
}

/// Teeth bite here: a crust, crumb, or a tough outside that is still on.
fn wants_teeth(case: &Case<'_>) -> bool {
    let food = case.job.food;
    food.is(FoodTrait::Teeth) && (case.job.lies.skin_on || matches!(food.nature, Nature::Bread | Nature::Cake))
}

fn teeth(case: &Case<'_>) -> Said {
    let food = case.job.food;
    Some(if wants_teeth(case) {
        match (food.skin, case.job.doctrines.tomato_edge) {
            (Skin::Slips, TomatoEdge::Plain) => (Against(12), say!(case, "This course takes a plain edge to a skin that slips.")),
            (Skin::Slips, _) if case.knife.length <= Millimetres::whole(150) => {
                (For(32), say!(case, "Short fine teeth catch a skin that slips, without pressing."))
            }
            (Skin::Slips, _) => (For(20), say!(case, "Teeth catch a skin that slips, without pressing.")),
            _ => (For(30), say!(case, "Teeth bite through the outside of ", food.name, " without pressing.")),
        }
    } else if food.is(FoodTrait::Teeth) {
        (Against(18), say!(case, "The outside is off: a plain edge leaves cleaner faces on ", food.name, "."))
    } else if food.firmness >= 3 {
        (Refuse, say!(case, "Teeth skate on firm plain ", food.name, " (firmness ", food.firmness, " of 5)."))
    } else if case.job.lies.skin_on && food.skin == Skin::Rind {
        (Against(8), say!(case, "Fine teeth start in the rind; a sharp plain edge leaves cleaner faces on ", food.name, "."))
    } else {
        (Against(35), say!(case, "Teeth tear soft plain ", food.name, "; a plain edge leaves clean faces."))
    })
}

fn teeth_true_faces(case: &Case<'_>) -> Said {
    match case.job.cut.family {
        _ if matches!(case.job.food.nature, Nature::Bread | Nature::Cake) => None,
        CutFamily::Chop | CutFamily::Hand => Some((Refuse, say!(case, "Teeth saw; they do not chop or turn."))),
        CutFamily::Strips | CutFamily::Dice => {
            Some((Against(25), say!(case, "Teeth leave ragged faces; ", case.job.cut.name, " wants true ones.")))
        }
        _ => None,
    }
}

fn plain_on_tough(case: &Case<'_>) -> Said {
    let food = case.job.food;
    let name = &food.name;
    match food.skin {
        Skin::Crust if food.nature == Nature::Bread => {
            Some((Refuse, say!(case, "A plain edge crushes ", name, ": the crust wants teeth.")))
        }
        Skin::Rind if food.is(FoodTrait::Teeth) && case.knife.kind.weight >= 3 => Some((
            Against(8),
            say!(case, "The rind throws a plain edge off: weight behind it, and a flat end of the ", name, " first."),
        )),
        Skin::Rind if food.is(FoodTrait::Teeth) => {
            Some((Against(30), say!(case, "The rind of the ", name, " throws a light plain edge off.")))
        }
        Skin::Slips if food.is(FoodTrait::Teeth) && case.job.doctrines.tomato_edge == TomatoEdge::Teeth => {
            Some((Against(20), say!(case, "This course takes teeth to a skin that slips.")))
        }
        Skin::Slips if food.is(FoodTrait::Teeth) => Some((
            Against(3),
            say!(case, "The skin of the ", name, " slips under anything but a truly sharp edge: nick it first."),
        )),
        _ => None,
    }
}

fn single_bevel(case: &Case<'_>) -> Said {
    let food = case.job.food;
    if food.firmness >= 3 || food.is(FoodTrait::Bone) {
        return Some((
            Refuse,
            say!(case, "A single-bevel edge steers and chips in anything hard; ", food.name, " is no food for it."),
        ));
    }
    let chosen = case.work == Work::FishSlices;
    match case.job.doctrines.fish_slices {
        FishSlices::SingleBevel if chosen => Some((For(14), say!(case, "The blade of this course for slices of raw fish."))),
        FishSlices::Slicer if chosen => Some((Against(20), say!(case, "This course slices raw fish with a slicer."))),
        _ => None,
    }
}

fn in_hand_blade(case: &Case<'_>) -> Said {
    Some((Refuse, say!(case, capital(&case.knife.kind.name), ": never on the board.")))
}

fn small_blade(case: &Case<'_>) -> Said {
    let food = case.job.food;
    let (length, across) = (case.knife.length, case.job.lies.across.longer(case.job.lies.height));
    let most = Millimetres::clamped(length.get() * 0.85);
    let animal = matches!(case.work, Work::Bone | Work::MeatTrim | Work::FishTrim | Work::Meat);
    if food.firmness >= 3 && !(case.job.cut.form == CutForm::CoredOnBoard && food.firmness == 3) {
        Some((
            Refuse,
            say!(
                case,
                "A ",
                length,
                " blade this light needs force on the board: ",
                food.name,
                " is firm (",
                food.firmness,
                " of 5)."
            ),
        ))
    } else if across > most && !animal {
        Some((Refuse, say!(case, across, " across is too large for a ", length, " blade on the board.")))
    } else if case.job.cut.family == CutFamily::Chop && !food.is(FoodTrait::Clove) {
        Some((Against(40), say!(case, "A blade this small does not chop: the knuckles hit the board.")))
    } else {
        Some((Against(4), say!(case, "Small blade on the board: the knuckles come close; only for small soft food.")))
    }
}

fn child_blade(case: &Case<'_>) -> Said {
    let food = case.job.food;
    let across = case.job.lies.across;
    if food.firmness >= 4 {
        Some((Refuse, say!(case, "A child's knife is not for hard ", food.name, " (firmness ", food.firmness, " of 5).")))
    } else if case.job.age_band == AgeBand::Adult {
        Some((Against(22), say!(case, "Made for a child's hand: short and low for a grown one.")))
    } else if across > Millimetres::whole(65) {
        Some((Against(25), say!(case, across, " across is more than a child's knife takes: about ", Millimetres::whole(60), ".")))
    } else {
        Some((For(6), say!(case, "Short, light and blunt at the tip: made for a child's hand.")))
    }
}

/// Blade lost under the hand: a pinch uses up 25 mm.
fn lost_to_grip(grip: Grip) -> Millimetres {
    if grip == Grip::Pinch { PINCH } else { Millimetres::ZERO }
}

fn travel(case: &Case<'_>) -> Said {
    let (cut, blade, lost) = (case.job.cut_length(), case.knife.length, lost_to_grip(case.grip));
    let left = blade.get() - cut.get() - lost.get();
    let pinch = if lost > Millimetres::ZERO { say!(case, ", less ", lost, " for the pinch") } else { Text::default() };
    // Food that is opened is gone into from both sides, or round it.
    let both_sides = case.job.cut.form.meets_whole() && blade.get() - lost.get() >= cut.get() * 0.6 + TRAVEL.get();
    let opens = case.job.cut.form.meets_whole();
    Some(if left < 0.0 && both_sides {
        let short = ((-left) / 4.0).clamp(0.0, 14.0) as u8;
        (Against(8 + short), say!(case, blade, " does not cross ", cut, pinch, ": in from one side, then the other."))
    } else if left < 0.0 {
        (Refuse, say!(case, blade, " does not cross a ", cut, " cut", pinch, "; at least ", cut + lost + TRAVEL, " is needed."))
    } else if left < TRAVEL.get() {
        let words = say!(
            case,
            blade,
            " leaves ",
            Millimetres::clamped(left),
            " of travel on a ",
            cut,
            " cut",
            pinch,
            "; ",
            TRAVEL,
            " is wanted."
        );
        (Against(if opens { 4 } else { 12 }), words)
    } else if left > 200.0 {
        (Against(6), say!(case, blade, " is much longer than a ", cut, " cut needs."))
    } else {
        (For(10), say!(case, blade, " clears a ", cut, " cut with ", Millimetres::clamped(left), " of travel", pinch, "."))
    })
}

fn age(case: &Case<'_>) -> Said {
    let barrier = case.blade().age_barrier(case.job.age_band);
    barrier.map(|barrier| (Refuse, say!(case, barrier.words())))
}

fn in_hand_length(case: &Case<'_>) -> Said {
    Some((Refuse, say!(case, case.knife.length, " is too long to cut in the hand: ", Millimetres::whole(100), " at the most.")))
}

fn firmness(case: &Case<'_>) -> Said {
    let (food, kind) = (case.job.food, case.knife.kind);
    if case.work == Work::Bone {
        return None;
    }
    let narrow = matches!(kind.profile, Profile::Narrow | Profile::LongNarrow | Profile::Short);
    match food.firmness {
        5 if kind.weight <= 2 => {
            Some((Refuse, say!(case, "Too light for ", food.name, " (firmness 5 of 5): it binds, and force follows.")))
        }
        4.. if narrow => Some((Against(22), say!(case, "A narrow blade wanders in dense ", food.name, "."))),
        5 if kind.weight >= 4 => Some((For(12), say!(case, "Weight carries it through hard ", food.name, "."))),
        4 if kind.weight >= 3 => Some((For(8), say!(case, "Heavy enough for firm ", food.name, "."))),
        1 if kind.weight >= 5 => Some((Against(15), say!(case, "Heavier than soft ", food.name, " needs; it crushes."))),
        _ => None,
    }
}

fn flexible(case: &Case<'_>) -> Said {
    (!matches!(case.work, Work::FishBone | Work::Skinning | Work::FishSlices | Work::FishTrim | Work::MeatTrim))
        .then(|| (Against(20), say!(case, "A flexible blade follows bone and skin; in ", case.job.food.name, " it bends.")))
}

fn flat_edge(case: &Case<'_>) -> Said {
    Some(if case.knife.kind.profile.is_flat() {
        (For(2), say!(case, "Flat edge: it meets the board along its length, so no joined pieces."))
    } else {
        let heel = Millimetres::clamped(case.knife.length.get() / 3.0);
        (For(2), say!(case, "Flat heel meets the board along ", heel, " in one go: no joined pieces."))
    })
}

fn knuckles(case: &Case<'_>) -> Said {
    let heel = case.knife.heel_height;
    Some(if heel >= Millimetres::whole(40) {
        (For(6), say!(case, heel, " at the heel clears the knuckles."))
    } else {
        (Against(6), say!(case, heel, " at the heel: the knuckles touch the board."))
    })
}

fn low_blade(case: &Case<'_>) -> Said {
    let (heel, height) = (case.knife.heel_height, case.job.lies.height);
    (case.work == Work::Produce)
        .then(|| (Against(14), say!(case, "Only ", heel, " tall in food ", height, " high: it sinks in and wanders.")))
}

fn silverskin(case: &Case<'_>) -> Said {
    if case.work != Work::MeatTrim {
        return None;
    }
    Some(if case.knife.heel_height >= Millimetres::whole(40) {
        (Against(18), say!(case, "A tall blade takes meat off with the fat."))
    } else {
        (For(8), say!(case, "Narrow: the point slides under fat and silverskin."))
    })
}

fn fine_work(case: &Case<'_>) -> Said {
    let thin = case.job.thinnest()?;
    if case.knife.kind.weight >= 5 && thin < Millimetres::whole(10) {
        Some((Refuse, say!(case, "A heavy cleaver is not for ", thin, " work.")))
    } else if thin < Millimetres::whole(4) && case.on_board() && has_thin_edge(case.knife) {
        Some((For(2), say!(case, "A thin edge for ", thin, " work.")))
    } else {
        None
    }
}

fn hard_stem(case: &Case<'_>) -> Said {
    Some((Against(8), say!(case, "A thin edge chips on the hard stem of the ", case.job.food.name, ": cut clear of it.")))
}

fn bone(case: &Case<'_>) -> Said {
    let (food, kind) = (case.job.food, case.knife.kind);
    if kind.profile.is_flat() && kind.weight < 5 {
        return Some((Refuse, say!(case, capital(&kind.name), ": never for bone, its edge chips.")));
    }
    if case.work != Work::Bone {
        return None;
    }
    let doctrine = case.job.doctrines.jointing;
    if kind.weight >= 5 && case.job.cut.form == CutForm::Boned {
        Some((Refuse, say!(case, "A heavy cleaver does not follow a bone.")))
    } else if kind.stiffness >= 4 && kind.profile == Profile::Narrow {
        match doctrine {
            Jointing::Chefs if case.job.cut.form == CutForm::Jointed => {
                Some((Against(10), say!(case, "This course joints with a chef's knife.")))
            }
            _ => Some((For(14), say!(case, "Stiff and narrow: its point goes through the joint of the ", food.name, "."))),
        }
    } else if kind.weight >= 4 && kind.weight < 5 {
        match doctrine {
            Jointing::Chefs => Some((For(14), say!(case, "This course joints with a chef's knife, point through the joint."))),
            Jointing::Boning => Some((Against(15), say!(case, "This course joints with a boning knife."))),
            Jointing::Either => {
                Some((Against(6), say!(case, "Tall for following the bone of the ", food.name, "; the point does it.")))
            }
        }
    } else {
        None
    }
}

fn hollowed(case: &Case<'_>) -> Said {
    Some((For(5), say!(case, "Hollowed sides: slices of ", case.job.food.name, " let go.")))
}

fn tiny_food(case: &Case<'_>) -> Said {
    let food = case.job.food;
    let (size, blade) = (food.length(), case.knife.length);
    if blade <= Millimetres::whole(150) {
        Some((For(16), say!(case, "Food of ", size, " and a blade of ", blade, ": tip and eye stay close.")))
    } else if blade > Millimetres::whole(220) {
        Some((Against(12), say!(case, blade, " is a lot of blade for food of ", size, ".")))
    } else {
        None
    }
}

fn crush_width(case: &Case<'_>) -> Said {
    let words = say!(
        case,
        case.knife.heel_height,
        " is too narrow to crush with: the flat of a wide blade, ",
        Millimetres::whole(40),
        " or more."
    );
    Some((Refuse, words))
}

fn long_slices(case: &Case<'_>) -> Said {
    matches!(case.work, Work::FishSlices | Work::Meat | Work::Carving)
        .then(|| (For(14), say!(case, "Long and thin: one draw for each slice, no sawing.")))
}

fn peeler_shape(case: &Case<'_>) -> Said {
    let shape = case.job.food.shape;
    let long = shape.length().get() > 2.2 * shape.width().get();
    match (case.knife.kind.profile, long) {
        (Profile::Slot, true) => Some((For(4), say!(case, "A fixed blade keeps straight on long food."))),
        (Profile::Slot, false) => Some((Against(6), say!(case, "A fixed blade skips on round food; a swivel one follows it."))),
        (Profile::Swivel, false) => Some((For(4), say!(case, "A swivel blade follows round food."))),
        _ => None,
    }
}
