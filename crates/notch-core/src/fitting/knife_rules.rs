//! Rules about the blade itself: edge, length, weight, profile.

use super::rule::{Said, say};
use super::{Case, Effect, PINCH, Rule, TRAVEL};
use crate::catalogue::{BoardWork, CutFamily, Edge, FoodTrait, Grip, Motion, Profile, Skin};
use crate::eligibility::Barrier;
use crate::people::Hand;
use crate::text::Text;
use crate::units::Millimetres;
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule { id: "edge.dull", text: "A knife that failed its edge test stays out until it passes.", check: dull },
    Rule { id: "edge.teeth_on_firm", text: "Teeth skate on firm plain food.", check: teeth_on_firm },
    Rule { id: "edge.teeth_on_tough", text: "Teeth bite through a tough outside over a soft inside.", check: teeth_on_tough },
    Rule {
        id: "edge.teeth_true_faces",
        text: "Teeth leave no true faces for sticks and dice, and do not chop.",
        check: teeth_true_faces,
    },
    Rule { id: "edge.plain_on_tough", text: "A plain edge slips on a rind and crushes a crust.", check: plain_on_tough },
    Rule { id: "edge.single_bevel", text: "A single-bevel edge is for raw fish and garnish, in one hand.", check: single_bevel },
    Rule { id: "board.in_hand_blade", text: "A curved turning blade never works on the board.", check: in_hand_blade },
    Rule { id: "board.small_blade", text: "A short light blade takes only small soft food on the board.", check: small_blade },
    Rule {
        id: "length.travel",
        text: "The blade is longer than the cut by 25 mm of travel, less 25 mm under a pinch.",
        check: travel,
    },
    Rule { id: "length.age", text: "A child's blade has 130 mm at the most.", check: age },
    Rule { id: "length.in_hand", text: "A blade that cuts in the hand has 100 mm at the most.", check: in_hand_length },
    Rule {
        id: "blade.firmness",
        text: "Hard food wants a heavy stiff blade; a light or narrow one binds and wanders.",
        check: firmness,
    },
    Rule { id: "blade.flexible", text: "A flexible blade follows bone and skin; on vegetables it bends.", check: flexible },
    Rule {
        id: "blade.flat_edge",
        text: "A flat edge, or a flat heel, meets the board in one go and leaves no joined pieces.",
        check: flat_edge,
    },
    Rule { id: "blade.knuckles", text: "A tall blade gives room for the knuckles.", check: knuckles },
    Rule { id: "blade.fine_work", text: "Fine cuts want a thin blade; a heavy cleaver is not for them.", check: fine_work },
    Rule { id: "blade.hard_stem", text: "A thin edge chips on a hard stem.", check: hard_stem },
    Rule {
        id: "blade.bone",
        text: "Bone chips a thin edge: stiff and narrow at the joint, heavy through light bone.",
        check: bone,
    },
    Rule { id: "blade.fish", text: "Flexible along a fish's bone; stiff at a joint of meat.", check: flexible_on_bone },
    Rule { id: "blade.hollowed", text: "Hollowed sides let sticky slices go.", check: hollowed },
    Rule { id: "blade.tiny_food", text: "Very small food wants a short blade.", check: tiny_food },
    Rule { id: "blade.crush", text: "Only a wide blade crushes with its flat.", check: crush_width },
    Rule { id: "blade.raw_fish", text: "Raw fish and poultry want a long thin blade drawn once.", check: raw_animal },
];

fn dull(case: &Case<'_>) -> Said {
    let barrier = (!case.knife.sharp).then(|| Barrier::Dull { numbers: case.knife.numbers.join(", ") });
    barrier.map(|barrier| (Refuse, say!(case, barrier.words())))
}

fn teeth_on_firm(case: &Case<'_>) -> Said {
    let food = case.job.food;
    if case.knife.kind.edge != Edge::Serrated || food.skin.wants_teeth() {
        return None;
    }
    Some(if food.firmness >= 3 {
        (Refuse, say!(case, "Teeth skate on firm plain ", food.name, " (firmness ", food.firmness, " of 5)."))
    } else {
        (Against(30), say!(case, "Teeth tear soft plain ", food.name, "; a plain edge leaves clean faces."))
    })
}

fn teeth_on_tough(case: &Case<'_>) -> Said {
    let food = case.job.food;
    (case.knife.kind.edge == Edge::Serrated && food.skin.wants_teeth())
        .then(|| (For(30), say!(case, "Teeth bite through the outside of ", food.name, " without pressing.")))
}

fn teeth_true_faces(case: &Case<'_>) -> Said {
    if case.knife.kind.edge != Edge::Serrated {
        return None;
    }
    match case.job.cut.family {
        CutFamily::Chop | CutFamily::Hand => Some((Refuse, say!(case, "Teeth saw; they do not chop or turn."))),
        CutFamily::Strips | CutFamily::Dice => {
            Some((Against(25), say!(case, "Teeth leave ragged faces; ", case.job.cut.name, " wants true ones.")))
        }
        CutFamily::Slices => None,
    }
}

fn plain_on_tough(case: &Case<'_>) -> Said {
    if case.knife.kind.edge == Edge::Serrated {
        return None;
    }
    let name = &case.job.food.name;
    match case.job.food.skin {
        Skin::Crust => Some((Refuse, say!(case, "A plain edge crushes a ", name, ": the crust wants teeth."))),
        Skin::Rind => Some((Against(20), say!(case, "The rind of a ", name, " throws a plain edge off; teeth start the cut."))),
        Skin::Tough => {
            Some((Against(4), say!(case, "The skin of a ", name, " slips under a plain edge: nick it, or cut from the inside.")))
        }
        Skin::Plain | Skin::Slips => None,
    }
}

fn single_bevel(case: &Case<'_>) -> Said {
    if case.knife.kind.edge != Edge::SingleBevel {
        return None;
    }
    let food = case.job.food;
    if food.firmness >= 3 {
        return Some((
            Refuse,
            say!(
                case,
                "A single-bevel edge steers and chips in anything hard; ",
                food.name,
                " is firm (",
                food.firmness,
                " of 5)."
            ),
        ));
    }
    let hand = case.knife.hand.unwrap_or(Hand::Right);
    let others = case.job.hands.of(hand.other());
    if others > 0 {
        return Some((
            Against(25),
            say!(case, "Ground for the ", hand.name(), " hand only; ", others, " of this class use the other."),
        ));
    }
    (!food.raw_animal).then(|| (Against(20), say!(case, "Made for raw fish and garnish.")))
}

fn in_hand_blade(case: &Case<'_>) -> Said {
    if case.knife.kind.board != BoardWork::None {
        return None;
    }
    Some(if case.job.cut.family == CutFamily::Hand {
        (For(35), say!(case, "A short inward curve follows round food in the hand."))
    } else {
        (Refuse, say!(case, "An inward-curved blade works in the hand, never on the board."))
    })
}

fn small_blade(case: &Case<'_>) -> Said {
    let food = case.job.food;
    if case.knife.kind.board != BoardWork::Small {
        return None;
    }
    if case.job.cut.family == CutFamily::Hand {
        return Some((For(25), say!(case, "Short and light: it works in the hand.")));
    }
    let length = case.knife.length;
    if food.firmness >= 3 {
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
    } else if food.width() > Millimetres::whole(75) || food.height() > Millimetres::whole(75) {
        Some((Refuse, say!(case, food.width(), " across is too large for a ", length, " blade on the board.")))
    } else {
        Some((Against(12), say!(case, "Small blade on the board: knuckles come close; only for small soft food.")))
    }
}

/// Blade lost under the hand: a pinch uses up 25 mm.
fn lost_to_grip(grip: Grip) -> Millimetres {
    if grip == Grip::Pinch { PINCH } else { Millimetres::ZERO }
}

fn travel(case: &Case<'_>) -> Said {
    if case.job.cut.family == CutFamily::Hand {
        return None;
    }
    let (cut, blade, lost) = (case.job.cut_length(), case.knife.length, lost_to_grip(case.grip));
    let left = blade.get() - cut.get() - lost.get();
    let pinch = if lost > Millimetres::ZERO { say!(case, ", less ", lost, " for the pinch") } else { Text::default() };
    Some(if left < 0.0 {
        (Refuse, say!(case, blade, " does not cross a ", cut, " cut", pinch, "; at least ", cut + lost + TRAVEL, " is needed."))
    } else if left < TRAVEL.get() {
        (
            Against(20),
            say!(
                case,
                blade,
                " leaves ",
                Millimetres::clamped(left),
                " of travel on a ",
                cut,
                " cut",
                pinch,
                "; ",
                Millimetres::whole(25),
                " is wanted."
            ),
        )
    } else if left > 200.0 {
        (Against(6), say!(case, blade, " is much longer than a ", cut, " cut needs."))
    } else {
        (For(12), say!(case, blade, " clears a ", cut, " cut with ", Millimetres::clamped(left), " of travel", pinch, "."))
    })
}

fn age(case: &Case<'_>) -> Said {
    let barrier = case.blade().age_barrier(case.job.age_band);
    barrier.map(|barrier| (Refuse, say!(case, barrier.words())))
}

fn in_hand_length(case: &Case<'_>) -> Said {
    (case.job.cut.family == CutFamily::Hand && case.knife.length > Millimetres::whole(100)).then(|| {
        (Refuse, say!(case, case.knife.length, " is too long to cut in the hand: ", Millimetres::whole(100), " at the most."))
    })
}

fn firmness(case: &Case<'_>) -> Said {
    let (food, kind) = (case.job.food, case.knife.kind);
    if kind.edge == Edge::Serrated || case.job.cut.family == CutFamily::Hand {
        return None;
    }
    let narrow = matches!(kind.profile, Profile::Narrow | Profile::LongNarrow | Profile::Short);
    match food.firmness {
        5 if kind.weight <= 2 => {
            Some((Refuse, say!(case, "Too light for ", food.name, " (firmness 5 of 5): it binds, and force follows.")))
        }
        4.. if narrow => Some((Against(25), say!(case, "A narrow blade wanders in dense ", food.name, "."))),
        5 if kind.weight >= 4 => Some((For(12), say!(case, "Weight carries it through hard ", food.name, "."))),
        4 if kind.weight >= 3 => Some((For(8), say!(case, "Heavy enough for firm ", food.name, "."))),
        1 if kind.weight >= 5 => Some((Against(15), say!(case, "Heavier than soft ", food.name, " needs; it crushes."))),
        _ => None,
    }
}

fn flexible(case: &Case<'_>) -> Said {
    let food = case.job.food;
    if case.knife.kind.stiffness > 1 || food.raw_animal {
        return None;
    }
    Some(if food.firmness >= 3 {
        (Refuse, say!(case, "A flexible blade bends in firm ", food.name, " and jumps."))
    } else {
        (Against(30), say!(case, "A flexible blade is for fish; on vegetables it bends."))
    })
}

fn flat_edge(case: &Case<'_>) -> Said {
    if case.knife.kind.edge == Edge::Serrated || matches!(case.job.cut.family, CutFamily::Hand | CutFamily::Chop) {
        return None;
    }
    if case.knife.kind.profile.is_flat() {
        Some((For(9), say!(case, "Flat edge: it meets the board along its length, so no joined pieces.")))
    } else if case.knife.kind.profile == Profile::GentleBelly {
        let heel = case.knife.length.get() / 3.0;
        Some((
            For(10),
            say!(case, "Flat heel meets the board along ", Millimetres::clamped(heel), " in one go: no joined pieces."),
        ))
    } else {
        None
    }
}

fn knuckles(case: &Case<'_>) -> Said {
    if case.job.cut.family == CutFamily::Hand {
        return None;
    }
    let heel = case.knife.heel_height;
    if heel >= Millimetres::whole(40) {
        Some((For(8), say!(case, heel, " at the heel clears the knuckles.")))
    } else if heel < Millimetres::whole(30) {
        Some((Against(8), say!(case, heel, " at the heel: the knuckles touch the board.")))
    } else {
        None
    }
}

fn fine_work(case: &Case<'_>) -> Said {
    let thin = case.job.thinnest()?;
    if case.knife.kind.weight >= 5 && thin < Millimetres::whole(10) {
        Some((Refuse, say!(case, "A heavy cleaver is not for ", thin, " work.")))
    } else if thin < Millimetres::whole(4) && case.knife.kind.angle.is_some_and(|angle| angle.from <= 12.0) {
        Some((For(5), say!(case, "A thin edge for ", thin, " work.")))
    } else {
        None
    }
}

fn hard_stem(case: &Case<'_>) -> Said {
    let thin_edge = case.knife.kind.angle.is_some_and(|angle| angle.from < 15.0);
    (case.job.food.hard_stem && thin_edge)
        .then(|| (Against(8), say!(case, "A thin edge chips on the hard stem of a ", case.job.food.name, ": cut clear of it.")))
}

fn bone(case: &Case<'_>) -> Said {
    let (food, kind) = (case.job.food, case.knife.kind);
    if !food.bone || case.in_hand() {
        return None;
    }
    let thin_edge = kind.angle.is_some_and(|angle| angle.from < 12.0);
    if kind.edge == Edge::SingleBevel || thin_edge {
        Some((Refuse, say!(case, "An edge this thin chips on the bone of a ", food.name, ".")))
    } else if kind.weight >= 5 {
        Some((For(10), say!(case, "Heavy enough for light bone.")))
    } else if kind.profile == Profile::Narrow && !kind.motions.contains(&Motion::Push) {
        Some((For(22), say!(case, "Narrow: it follows bone and joint.")))
    } else {
        Some((Against(18), say!(case, "Too tall to follow the bone of a ", food.name, ".")))
    }
}

/// Fish is followed along its bone; other raw food on the bone is jointed.
fn flexible_on_bone(case: &Case<'_>) -> Said {
    let (food, stiffness) = (case.job.food, case.knife.kind.stiffness);
    if !food.bone || case.knife.kind.profile != Profile::Narrow {
        return None;
    }
    let fish = food.is(FoodTrait::FishBone);
    match (fish, stiffness) {
        (true, ..=2) => Some((For(18), say!(case, "Flexible: it bends along the bone of a ", food.name, "."))),
        (true, _) => Some((Against(6), say!(case, "Stiff: it cannot bend along the bone of a ", food.name, "."))),
        (false, 4..) => Some((For(18), say!(case, "Stiff: it steers through the joint of a ", food.name, "."))),
        (false, ..=2) => Some((Against(30), say!(case, "Flexible: it twists in the joint of a ", food.name, "."))),
        (false, _) => None,
    }
}

fn hollowed(case: &Case<'_>) -> Said {
    (case.job.food.is(FoodTrait::Sticks) && case.knife.hollowed && !case.in_hand())
        .then(|| (For(5), say!(case, "Hollowed sides: slices of ", case.job.food.name, " let go.")))
}

fn tiny_food(case: &Case<'_>) -> Said {
    let food = case.job.food;
    let (size, blade) = (food.length(), case.knife.length);
    if case.in_hand() || size > Millimetres::whole(50) || case.job.cut.family == CutFamily::Chop {
        return None;
    }
    if blade <= Millimetres::whole(150) {
        Some((For(10), say!(case, "A ", size, " food and a ", blade, " blade: tip and eye stay close.")))
    } else if blade > Millimetres::whole(220) {
        Some((Against(12), say!(case, blade, " is a lot of blade for a ", size, " food.")))
    } else {
        None
    }
}

fn crush_width(case: &Case<'_>) -> Said {
    (case.motion == Motion::Crush && case.knife.heel_height < Millimetres::whole(40)).then(|| {
        (
            Refuse,
            say!(
                case,
                case.knife.heel_height,
                " is too narrow to crush with: the flat of a wide blade, ",
                Millimetres::whole(40),
                " or more."
            ),
        )
    })
}

fn raw_animal(case: &Case<'_>) -> Said {
    let long = matches!(case.knife.kind.profile, Profile::LongNarrow | Profile::Narrow);
    (case.job.food.raw_animal && long).then(|| (For(20), say!(case, "Long and thin: one draw, no sawing.")))
}
