//! The pages of a lesson: the lesson itself, station cards, rotation, order, count sheet and home practice.

use serde::{Deserialize, Serialize};

use super::count::count_sheet;
use super::input::PaperInput;
use super::lesson_page::lesson_page;
use super::order_page::order_page;
use super::page::{PaperPage, PaperSize};
use super::practice::practice_cards;
use super::rotation_page::rotation_page;
use super::stations::station_cards;

/// What is printed of a lesson.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum PaperKind {
    /// The lesson on one page.
    #[default]
    Lesson,
    /// A card for each exercise, to lie at the stations.
    Stations,
    /// Who works in which round with which knife.
    Rotation,
    /// What to order.
    Order,
    /// Knives out and in.
    Count,
    /// A card for each student to take home.
    Practice,
    /// All of it.
    Whole,
}

impl PaperKind {
    /// All kinds.
    pub const ALL: [PaperKind; 7] = [
        PaperKind::Lesson,
        PaperKind::Stations,
        PaperKind::Rotation,
        PaperKind::Order,
        PaperKind::Count,
        PaperKind::Practice,
        PaperKind::Whole,
    ];

    /// Its word, e.g. `stations`.
    pub const fn word(self) -> &'static str {
        match self {
            PaperKind::Lesson => "lesson",
            PaperKind::Stations => "stations",
            PaperKind::Rotation => "rotation",
            PaperKind::Order => "order",
            PaperKind::Count => "count",
            PaperKind::Practice => "practice",
            PaperKind::Whole => "whole",
        }
    }
}

/// The pages of one kind.
pub fn paper(input: &PaperInput<'_>, kind: PaperKind, size: PaperSize) -> Vec<PaperPage> {
    match kind {
        PaperKind::Lesson => lesson_page(input, size),
        PaperKind::Stations => station_cards(input, size),
        PaperKind::Rotation => rotation_page(input, size),
        PaperKind::Order => order_page(input, size),
        PaperKind::Count => count_sheet(input, size),
        PaperKind::Practice => practice_cards(input, size),
        PaperKind::Whole => {
            let parts = PaperKind::ALL.into_iter().filter(|kind| *kind != PaperKind::Whole);
            parts.flat_map(|kind| paper(input, kind, size)).collect()
        }
    }
}
