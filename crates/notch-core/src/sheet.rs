//! What a spreadsheet does to the text of a table.

/// A cell that begins with one of these is a formula to a spreadsheet.
const FORMULA: [char; 6] = ['=', '+', '-', '@', '\t', '\r'];

/// Whether a spreadsheet would reckon with it, or it was kept from that.
fn is_formula(text: &str) -> bool {
    text.trim_start_matches('\'').starts_with(FORMULA)
}

/// Text for a cell: what a spreadsheet would take for a formula stands behind an apostrophe.
pub(crate) fn harmless(text: &str) -> String {
    if is_formula(text) { format!("'{text}") } else { text.to_owned() }
}

/// The text of a cell, without the apostrophe that kept it from being a formula.
pub(crate) fn as_meant(cell: &str) -> &str {
    cell.strip_prefix('\'').filter(|_| is_formula(cell)).unwrap_or(cell)
}
