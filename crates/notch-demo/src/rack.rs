//! Thirty-odd knives of plain descriptions.

use notch_core::catalogue::{Catalogue, Edge};
use notch_core::people::Hand;
use notch_core::records::{EdgeState, KnifeFields};
use notch_core::units::Millimetres;
use notch_store::Writer;

use crate::DemoError;

/// Type, blade length, how many.
const KNIVES: [(&str, u16, u16); 14] = [
    ("chefs", 200, 7),
    ("chefs", 180, 4),
    ("flat_chefs", 210, 4),
    ("santoku", 165, 4),
    ("nakiri", 165, 2),
    ("petty", 130, 3),
    ("paring", 90, 4),
    ("birds_beak", 70, 3),
    ("bread", 230, 1),
    ("tomato", 120, 1),
    ("single_bevel_slicer", 270, 1),
    ("slicer", 300, 1),
    ("boning", 150, 1),
    ("cleaver", 170, 1),
];

/// Knives that failed, with the note.
const DULL: [(&str, &str); 2] =
    [("7", "Failed its paper test on Sunday: tears at the heel."), ("24", "Slips on tomato skin; to the stone this week.")];

pub(crate) fn fill(writer: &Writer<'_>, catalogue: &Catalogue) -> Result<(), DemoError> {
    let mut number = 0;
    for (knife_type, length, count) in KNIVES {
        for _ in 0..count {
            number += 1;
            let number = number.to_string();
            let kind = catalogue.knife(knife_type);
            let dull = DULL.iter().find(|(dull, _)| *dull == number);
            let fields = KnifeFields {
                knife_type: knife_type.to_owned(),
                length: Millimetres::whole(length),
                heel_height: kind.map_or(Millimetres::whole(40), |kind| kind.heel_height),
                hand: kind.filter(|kind| kind.edge == Edge::SingleBevel).map(|_| Hand::Right),
                edge_state: if dull.is_some() { EdgeState::Dull } else { EdgeState::Sharp },
                note: dull.map_or_else(String::new, |(_, note)| (*note).to_owned()),
                number,
            };
            let problems = fields.check(catalogue);
            if !problems.is_empty() {
                return Err(problems.into());
            }
            writer.add_knife(&fields)?;
        }
    }
    Ok(())
}
