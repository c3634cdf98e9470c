//! Thirty-odd knives of plain descriptions, and the autumn's care of their edges.

use jiff::SignedDuration;
use jiff::civil::{Date, date};
use notch_core::care::{CareDeed, CareFields};
use notch_core::catalogue::{Catalogue, Edge, Habit};
use notch_core::people::Hand;
use notch_core::records::{Bolster, EdgeState, Knife, KnifeFields, Tang};
use notch_core::units::{Degrees, Millimetres};
use notch_store::Writer;

use crate::{DemoError, moment};

/// Knives that are alike.
struct Batch {
    kind: &'static str,
    length: u16,
    count: u16,
    angle: Option<f64>,
    bolster: Bolster,
    tang: Tang,
    hollowed: bool,
    handle: &'static str,
    cost: f64,
    stored: &'static str,
}

const fn batch(kind: &'static str, length: u16, count: u16, angle: f64, cost: f64) -> Batch {
    Batch {
        kind,
        length,
        count,
        angle: Some(angle),
        bolster: Bolster::None,
        tang: Tang::Full,
        hollowed: false,
        handle: "beech",
        cost,
        stored: "wall strip",
    }
}

const BATCHES: [Batch; 18] = [
    Batch { bolster: Bolster::Full, ..batch("chefs", 200, 7, 17.0, 48.0) },
    Batch { bolster: Bolster::Half, ..batch("chefs", 180, 4, 17.0, 42.0) },
    Batch { handle: "walnut", ..batch("flat_chefs", 210, 4, 13.0, 85.0) },
    Batch { hollowed: true, ..batch("santoku", 165, 4, 14.0, 54.0) },
    Batch { tang: Tang::Partial, ..batch("nakiri", 165, 2, 14.0, 60.0) },
    batch("petty", 130, 3, 15.0, 30.0),
    Batch { tang: Tang::Partial, handle: "plastic", stored: "roll 1", ..batch("paring", 90, 4, 17.0, 12.0) },
    Batch { tang: Tang::Partial, handle: "plastic", stored: "roll 1", ..batch("birds_beak", 70, 3, 17.0, 14.0) },
    Batch { angle: None, ..batch("bread", 230, 1, 0.0, 38.0) },
    Batch { angle: None, handle: "plastic", ..batch("tomato", 120, 1, 0.0, 16.0) },
    Batch { tang: Tang::Partial, handle: "magnolia", stored: "locked box", ..batch("single_bevel_slicer", 270, 1, 12.0, 140.0) },
    batch("slicer", 300, 1, 16.0, 66.0),
    Batch { stored: "locked box", ..batch("boning", 150, 1, 18.0, 34.0) },
    Batch { stored: "locked box", ..batch("cleaver", 170, 1, 22.0, 58.0) },
    Batch { tang: Tang::Partial, handle: "plastic", stored: "roll 2", ..batch("child_cooks", 100, 6, 17.0, 16.0) },
    Batch { angle: None, tang: Tang::Partial, handle: "plastic", stored: "drawer", ..batch("peeler_swivel", 50, 6, 0.0, 6.0) },
    Batch { angle: None, tang: Tang::Partial, handle: "steel", stored: "drawer", ..batch("peeler_fixed", 55, 2, 0.0, 7.0) },
    Batch { tang: Tang::Partial, handle: "plastic", stored: "drawer", ..batch("scissors", 90, 1, 25.0, 12.0) },
];

/// Knives that failed, with the note.
const DULL: [(&str, &str); 2] =
    [("7", "Failed its paper test on Sunday: tears at the heel."), ("24", "Slips on tomato skin; to the stone this week.")];

pub(crate) fn fill(writer: &Writer<'_>, catalogue: &Catalogue) -> Result<(), DemoError> {
    let mut number = 0;
    for batch in &BATCHES {
        for _ in 0..batch.count {
            number += 1;
            add(writer, catalogue, batch, number.to_string())?;
        }
    }
    Ok(())
}

fn add(writer: &Writer<'_>, catalogue: &Catalogue, batch: &Batch, number: String) -> Result<(), DemoError> {
    let kind = catalogue.knife(batch.kind);
    let dull = DULL.iter().find(|(dull, _)| *dull == number);
    let fields = KnifeFields {
        knife_type: batch.kind.to_owned(),
        length: Millimetres::whole(batch.length),
        heel_height: kind.map_or(Millimetres::whole(40), |kind| kind.heel_height),
        hand: kind.filter(|kind| kind.edge == Edge::SingleBevel).map(|_| Hand::Right),
        edge_state: if dull.is_some() { EdgeState::Dull } else { EdgeState::Sharp },
        note: dull.map_or_else(String::new, |(_, note)| (*note).to_owned()),
        name: String::new(),
        edge_angle: batch.angle.and_then(|angle| Degrees::new(angle).ok()),
        bolster: batch.bolster,
        tang: batch.tang,
        hollowed: batch.hollowed,
        handle: batch.handle.to_owned(),
        cost: Some(batch.cost),
        stored: batch.stored.to_owned(),
        number,
    };
    let problems = fields.check(catalogue);
    if !problems.is_empty() {
        return Err(problems.into());
    }
    writer.add_knife(&fields)?;
    Ok(())
}

/// Days of the autumn on which the steward cared for the edges.
const STONE_DAY: Date = date(2026, 9, 5);
const CLASS_DAYS: [Date; 4] = [date(2026, 9, 8), date(2026, 9, 15), date(2026, 9, 22), date(2026, 9, 29)];

/// A stone day before the term, a test and a steel on the morning of each class, and what went wrong.
pub(crate) fn care(writer: &Writer<'_>, catalogue: &Catalogue) -> Result<(), DemoError> {
    let write = |knife: &Knife, deed: CareDeed, on_day: Date, words: &str| -> Result<(), DemoError> {
        let at = moment(on_day.at(16, 0, 0, 0)) + SignedDuration::from_mins(knife.id);
        let fields = CareFields { deed, on_day, words: words.to_owned() };
        // What the autumn says of the edges is already on the knives.
        Ok(writer.add_care(knife.id, at, &fields, None)?)
    };
    for knife in writer.knives()? {
        let Some(kind) = catalogue.knife(&knife.fields.knife_type) else { continue };
        let (angle, number) = (knife.fields.edge_angle, knife.fields.number.as_str());
        let board = kind.board == notch_core::catalogue::BoardWork::All;
        if kind.edge == Edge::Straight && kind.is_ground() {
            write(&knife, CareDeed::Stone { angle, strokes: 10, grits: vec![1000, 6000] }, STONE_DAY, "")?;
        }
        for day in CLASS_DAYS.into_iter().filter(|_| board) {
            write(&knife, CareDeed::PaperTest { clean: 3 }, day, "")?;
            if kind.edge == Edge::Straight {
                write(&knife, CareDeed::Hone { angle, strokes: 4 }, day, "")?;
            }
        }
        match number {
            "7" => write(&knife, CareDeed::PaperTest { clean: 1 }, date(2026, 10, 4), "Tears at the heel.")?,
            "24" => write(&knife, CareDeed::TomatoTest { passed: false }, date(2026, 10, 4), "Slips on the skin.")?,
            "12" | "13" => {
                write(&knife, CareDeed::Habit { habit: Habit::Scraped }, date(2026, 9, 22), "Potato scraped off the board.")?;
                write(&knife, CareDeed::Habit { habit: Habit::Dishwasher }, date(2026, 9, 29), "Found in the machine.")?;
            }
            _ => {}
        }
    }
    Ok(())
}
