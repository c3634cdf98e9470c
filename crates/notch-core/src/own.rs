//! A school's own values: standards, tolerances, foods, cues and thresholds that it copied or
//! edited, laid over the shipped catalogue. Each can be compared with what was shipped, and dropped
//! again. What was judged keeps the figures of its day, since an attempt carries its own target.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};
use serde_json::Value;

use crate::catalogue::{Catalogue, CatalogueError, Food, ProgressRules, StandardSet, Target, TargetSize, Tolerance};
use crate::problem::Problem;
use crate::units::{Millimetres, parse_length};

/// Sizes of one cut as a person writes them: `3.2`, `1/8 in`, `2-5`, `under 3`; empty for none.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(default)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SizeTexts {
    /// Thickness.
    pub thickness: String,
    /// Width.
    pub width: String,
    /// Length.
    pub length: String,
}

/// One value of the school's own.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum OwnValue {
    /// A set of standards, edited or copied.
    StandardSet {
        /// Id: a shipped one that is edited, or a new one.
        id: String,
        /// Name, 1 to 60 characters.
        name: String,
        /// Id of the shipped set that it was copied from.
        based_on: String,
        /// Sizes by id of the cut; a cut that is left out is not taught.
        sizes: BTreeMap<String, SizeTexts>,
    },
    /// A tolerance profile.
    Tolerance {
        /// Id: a shipped one that is edited, or a new one.
        id: String,
        /// Name, 1 to 60 characters.
        name: String,
        /// Id of the shipped profile that it was copied from.
        based_on: String,
        /// Share of the target, above 0 and below 1.
        share: f64,
        /// Least tolerance.
        floor: Millimetres,
        /// Largest coefficient of variation that counts as even, above 0 and up to 1.
        even_cv: f64,
    },
    /// A food, edited or copied.
    Food {
        /// Id of the shipped food that it was copied from.
        based_on: String,
        /// The food; its id is a shipped one, or a new one.
        food: Food,
    },
    /// The cue of a fault.
    Cue {
        /// Id of the fault.
        id: String,
        /// What to say, 1 to 160 characters.
        cue: String,
    },
    /// Thresholds of the notches.
    Thresholds {
        /// All of them, with the ladder of blade lengths.
        thresholds: ProgressRules,
    },
}

/// A field in which a school's own value differs from the shipped one.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Difference {
    /// Where, e.g. `cuts · julienne · thickness · size`.
    pub field: String,
    /// The shipped value; empty where there was none.
    pub shipped: String,
    /// The school's own; empty where there is none.
    pub own: String,
}

impl OwnValue {
    /// Word of its kind, as it is kept.
    pub const fn kind(&self) -> &'static str {
        match self {
            OwnValue::StandardSet { .. } => "standard_set",
            OwnValue::Tolerance { .. } => "tolerance",
            OwnValue::Food { .. } => "food",
            OwnValue::Cue { .. } => "cue",
            OwnValue::Thresholds { .. } => "thresholds",
        }
    }

    /// Id within its kind.
    pub fn id(&self) -> &str {
        match self {
            OwnValue::StandardSet { id, .. } | OwnValue::Tolerance { id, .. } | OwnValue::Cue { id, .. } => id,
            OwnValue::Food { food, .. } => &food.id,
            OwnValue::Thresholds { .. } => "notches",
        }
    }

    /// Where it differs from what was shipped; a copy is compared with what it was copied from.
    ///
    /// # Errors
    /// As [`with_own`].
    pub fn differences(&self, shipped: &Catalogue) -> Result<Vec<Difference>, Vec<Problem>> {
        let ours = with_own(shipped, std::slice::from_ref(self))?;
        let pair = match self {
            OwnValue::StandardSet { id, based_on, .. } => (json(shipped.set(based_on)), json(ours.set(id))),
            OwnValue::Tolerance { id, based_on, .. } => (json(shipped.tolerance(based_on)), json(ours.tolerance(id))),
            OwnValue::Food { based_on, food } => (json(shipped.food(based_on)), json(ours.food(&food.id))),
            OwnValue::Cue { id, .. } => (json(shipped.fault(id)), json(ours.fault(id))),
            OwnValue::Thresholds { .. } => (json(Some(&shipped.progress)), json(Some(&ours.progress))),
        };
        let (mut before, mut after) = (BTreeMap::new(), BTreeMap::new());
        flatten("", &pair.0, &mut before);
        flatten("", &pair.1, &mut after);
        let fields: std::collections::BTreeSet<&String> = before.keys().chain(after.keys()).collect();
        let found = fields.into_iter().filter(|field| field.as_str() != "id").filter_map(|field| {
            let at = |values: &BTreeMap<String, String>| values.get(field).cloned().unwrap_or_default();
            let (shipped, own) = (at(&before), at(&after));
            (shipped != own).then(|| Difference { field: field.replace('_', " "), shipped, own })
        });
        Ok(found.collect())
    }
}

fn json<T: Serialize>(value: Option<&T>) -> Value {
    value.and_then(|value| serde_json::to_value(value).ok()).unwrap_or(Value::Null)
}

fn flatten(path: &str, value: &Value, into: &mut BTreeMap<String, String>) {
    let below = |name: &str| if path.is_empty() { name.to_owned() } else { format!("{path} · {name}") };
    match value {
        Value::Null => {}
        Value::Object(fields) => fields.iter().for_each(|(name, value)| flatten(&below(name), value, into)),
        Value::Array(values) => {
            values.iter().enumerate().for_each(|(index, value)| flatten(&below(&(index + 1).to_string()), value, into));
        }
        Value::Number(number) => {
            let rounded = number.as_f64().map_or_else(|| number.to_string(), |n| format!("{}", (n * 1000.0).round() / 1000.0));
            into.insert(path.to_owned(), rounded);
        }
        Value::String(text) => {
            into.insert(path.to_owned(), text.clone());
        }
        Value::Bool(truth) => {
            into.insert(path.to_owned(), if *truth { "yes" } else { "no" }.to_owned());
        }
    }
}

/// Lays a school's own values over the shipped catalogue.
///
/// # Errors
/// Each value that cannot be taken: sizes that are no sizes, ids that are not known, figures out of
/// range.
pub fn with_own(shipped: &Catalogue, own: &[OwnValue]) -> Result<Catalogue, Vec<Problem>> {
    let mut catalogue = shipped.clone();
    let mut problems = Vec::new();
    for value in own {
        lay(&mut catalogue, shipped, value, &mut problems);
    }
    if problems.is_empty() {
        problems.extend(catalogue.check().err().map(told).unwrap_or_default());
    }
    if problems.is_empty() { Ok(catalogue) } else { Err(problems) }
}

fn told(error: CatalogueError) -> Vec<Problem> {
    let mistakes = match error {
        CatalogueError::Wrong(mistakes) => mistakes,
        CatalogueError::Unreadable { why, .. } => vec![why],
    };
    let problem = |mistake: String| Problem {
        pointer: String::new(),
        value: String::new(),
        allowed: "figures within the ranges of the catalogue".to_owned(),
        message: format!("out of range or not known: {mistake}."),
    };
    mistakes.into_iter().map(problem).collect()
}

fn replace<T>(all: &mut Vec<T>, is_it: impl Fn(&T) -> bool, new: T) {
    match all.iter_mut().find(|each| is_it(each)) {
        Some(kept) => *kept = new,
        None => all.push(new),
    }
}

fn lay(catalogue: &mut Catalogue, shipped: &Catalogue, value: &OwnValue, problems: &mut Vec<Problem>) {
    let before = problems.len();
    match value {
        OwnValue::StandardSet { id, name, based_on, sizes } => {
            problems.extend(Problem::unless_text("/name", "name", name, 60));
            let Some(base) = shipped.set(based_on) else { return problems.push(unknown("/based_on", "set", based_on)) };
            let cuts = read_sizes(catalogue, sizes, problems);
            if problems.len() == before {
                let set = StandardSet { id: id.clone(), name: name.trim().to_owned(), why: base.why.clone(), cuts };
                replace(&mut catalogue.sets, |set| set.id == *id, set);
            }
        }
        OwnValue::Tolerance { id, name, share, floor, even_cv, .. } => {
            problems.extend(Problem::unless_text("/name", "name", name, 60));
            let within = |pointer: &str, name: &str, value: f64, most: f64| {
                (!(value > 0.0 && value <= most))
                    .then(|| Problem::new(pointer, name, value, "is out of range", format!("above 0, up to {most}")))
            };
            problems.extend(within("/share", "share", *share, 0.95));
            problems.extend(within("/even_cv", "evenness", *even_cv, 1.0));
            problems.extend(within("/floor", "least tolerance", floor.get(), 20.0));
            if problems.len() == before {
                let profile =
                    Tolerance { id: id.clone(), name: name.trim().to_owned(), share: *share, floor: *floor, even_cv: *even_cv };
                replace(&mut catalogue.tolerances, |tolerance| tolerance.id == *id, profile);
            }
        }
        OwnValue::Food { food, .. } => {
            problems.extend(Problem::unless_text("/food/name", "name", &food.name, 60));
            if problems.len() == before {
                replace(&mut catalogue.foods, |each| each.id == food.id, food.clone());
            }
        }
        OwnValue::Cue { id, cue } => {
            problems.extend(Problem::unless_text("/cue", "cue", cue, 160));
            match catalogue.faults.iter_mut().find(|fault| fault.id == *id) {
                Some(fault) => fault.cue = cue.trim().to_owned(),
                None => problems.push(unknown("/id", "fault", id)),
            }
        }
        OwnValue::Thresholds { thresholds } => {
            check_thresholds(thresholds, problems);
            catalogue.progress = thresholds.clone();
        }
    }
}

fn check_thresholds(thresholds: &ProgressRules, problems: &mut Vec<Problem>) {
    let limits = [
        ("/thresholds/clean_attempts", "clean attempts", thresholds.clean_attempts, 20),
        ("/thresholds/true_pieces", "blind pieces", thresholds.true_pieces, 500),
        ("/thresholds/even_attempts", "attempts for Even", thresholds.even_attempts, 20),
    ];
    for (pointer, name, value, most) in limits {
        let value = i64::try_from(value).unwrap_or(i64::MAX);
        problems.extend(Problem::unless_within(pointer, name, value, 1, most));
    }
    let share = thresholds.true_wilson;
    if !(share > 0.0 && share < 1.0) {
        problems.push(Problem::new("/thresholds/true_wilson", "proven share", share, "is out of range", "above 0, below 1"));
    }
    let days = thresholds.held_days;
    problems.extend(Problem::unless_within("/thresholds/held_days", "days until Held", days, 1, 365));
}

fn unknown(pointer: &str, what: &str, id: &str) -> Problem {
    Problem::new(pointer, what, id, "is not known", format!("a {what} of the catalogue"))
}

fn read_sizes(
    catalogue: &Catalogue,
    sizes: &BTreeMap<String, SizeTexts>,
    problems: &mut Vec<Problem>,
) -> BTreeMap<String, Target> {
    let mut cuts = BTreeMap::new();
    for (cut, texts) in sizes {
        let Some(known) = catalogue.cut(cut) else {
            problems.push(unknown("/sizes", "cut", cut));
            continue;
        };
        let mut side = |name: &str, text: &str| match parse_size(text) {
            Ok(size) => size,
            Err(why) => {
                let allowed = "a size (3.2, 1/8 in), a range (2-5), or a limit (under 3)";
                problems.push(Problem::new(
                    format!("/sizes/{cut}/{name}"),
                    &format!("{name} of {}", known.name),
                    text,
                    &why,
                    allowed,
                ));
                None
            }
        };
        let target = Target {
            thickness: side("thickness", &texts.thickness),
            width: side("width", &texts.width),
            length: side("length", &texts.length),
        };
        cuts.insert(cut.clone(), target);
    }
    if cuts.is_empty() {
        problems.push(Problem::new("/sizes", "cuts", "", "was given", "at least one cut with its size"));
    }
    cuts
}

/// Reads a size as a person writes it: `3.2`, `1/8 in`, `2-5`, `1/8 in - 1/4 in`, `under 3`; nothing
/// where the text is empty.
///
/// # Errors
/// In words, why the text is no size.
pub fn parse_size(text: &str) -> Result<Option<TargetSize>, String> {
    let text = text.trim();
    if text.is_empty() {
        return Ok(None);
    }
    let length = |text: &str| {
        let read = parse_length(text.trim()).map_err(|error| error.to_string())?;
        if (0.5..=150.0).contains(&read.get()) { Ok(read) } else { Err("is not between 0.5 and 150 mm".to_owned()) }
    };
    if let Some(limit) = text.strip_prefix("under").or_else(|| text.strip_prefix('<')) {
        return Ok(Some(TargetSize::Below { limit: length(limit)? }));
    }
    // One length first: the dash of `1-1/2` is no range.
    if let Ok(size) = length(text) {
        return Ok(Some(TargetSize::Exact { size }));
    }
    if let Some((from, to)) = text.split_once('–').or_else(|| text.split_once(" - ")).or_else(|| text.split_once('-')) {
        let (from, to) = (length(from)?, length(to)?);
        return if from < to { Ok(Some(TargetSize::Range { from, to })) } else { Err("runs backwards".to_owned()) };
    }
    Ok(Some(TargetSize::Exact { size: length(text)? }))
}

/// A size as [`parse_size`] reads it, in full precision.
fn write_size(size: Option<TargetSize>) -> String {
    match size {
        None => String::new(),
        Some(TargetSize::Exact { size }) => plain(size),
        Some(TargetSize::Range { from, to }) => format!("{} - {}", plain(from), plain(to)),
        Some(TargetSize::Below { limit }) => format!("under {}", plain(limit)),
    }
}

/// Sixteenths of an inch as kitchen fractions, anything else as millimetres.
fn plain(size: Millimetres) -> String {
    for (part, text) in [(16.0, "1/16 in"), (8.0, "1/8 in"), (4.0, "1/4 in"), (2.0, "1/2 in"), (4.0 / 3.0, "3/4 in")] {
        if (size.get() - 25.4 / part).abs() < 1e-9 {
            return text.to_owned();
        }
    }
    format!("{}", size.get())
}

/// A set of standards as texts that can be edited.
pub fn sizes_of(set: &StandardSet) -> BTreeMap<String, SizeTexts> {
    let texts = |target: &Target| SizeTexts {
        thickness: write_size(target.thickness),
        width: write_size(target.width),
        length: write_size(target.length),
    };
    set.cuts.iter().map(|(cut, target)| (cut.clone(), texts(target))).collect()
}

/// An id for a copy, from its name and unlike all that are taken: `own_small_carrot`.
pub fn own_id<'a>(name: &str, taken: impl IntoIterator<Item = &'a str>) -> String {
    let taken: Vec<&str> = taken.into_iter().collect();
    let plain: String = name.to_lowercase().chars().map(|c| if c.is_ascii_alphanumeric() { c } else { '_' }).take(40).collect();
    let base = format!("own_{}", plain.trim_matches('_'));
    let numbered = (2..).map(|number: u32| format!("{base}_{number}"));
    std::iter::once(base.clone()).chain(numbered).find(|id| !taken.contains(&id.as_str())).unwrap_or(base)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn sizes_are_read_as_they_are_written() {
        assert_eq!(parse_size(""), Ok(None));
        assert!(matches!(parse_size("1/8 in"), Ok(Some(TargetSize::Exact { size })) if size.get() == 3.175));
        assert!(matches!(parse_size("1-1/2 in"), Ok(Some(TargetSize::Exact { size })) if size.get() == 38.1));
        assert!(
            matches!(parse_size("1/8 in - 1/4 in"), Ok(Some(TargetSize::Range { from, to })) if from.get() == 3.175 && to.get() == 6.35)
        );
        assert!(matches!(parse_size("2-5"), Ok(Some(TargetSize::Range { .. }))));
        assert!(matches!(parse_size("under 3"), Ok(Some(TargetSize::Below { .. }))));
        assert!(parse_size("5-2").is_err() && parse_size("0").is_err() && parse_size("a lot").is_err());
        let catalogue = Catalogue::shipped().unwrap();
        for set in &catalogue.sets {
            let mut problems = Vec::new();
            assert_eq!(read_sizes(&catalogue, &sizes_of(set), &mut problems), set.cuts, "{problems:?}");
        }
    }

    #[test]
    fn an_edited_set_differs_just_where_it_was_edited() {
        let shipped = Catalogue::shipped().unwrap();
        let mut sizes = sizes_of(shipped.set("metric").unwrap());
        sizes.get_mut("julienne").unwrap().thickness = "2.5".to_owned();
        let own = OwnValue::StandardSet { id: "metric".into(), name: "metric kitchen".into(), based_on: "metric".into(), sizes };
        let found = own.differences(&shipped).unwrap();
        assert_eq!(found.len(), 1, "{found:?}");
        assert_eq!((found[0].shipped.as_str(), found[0].own.as_str()), ("2", "2.5"));
    }

    #[test]
    fn wrong_values_are_told_at_their_field() {
        let shipped = Catalogue::shipped().unwrap();
        let wrong = |own: OwnValue| with_own(&shipped, &[own]).unwrap_err();
        let cue = wrong(OwnValue::Cue { id: "no_such_fault".into(), cue: "x".into() });
        assert_eq!(cue[0].pointer, "/id");
        let mut food = shipped.food("carrot").unwrap().clone();
        food.firmness = 9;
        assert!(wrong(OwnValue::Food { based_on: "carrot".into(), food })[0].message.contains("firmness"));
        let sizes = BTreeMap::from([("julienne".to_owned(), SizeTexts { thickness: "thick".into(), ..SizeTexts::default() })]);
        let set = wrong(OwnValue::StandardSet { id: "own_a".into(), name: "a".into(), based_on: "metric".into(), sizes });
        assert_eq!(set[0].pointer, "/sizes/julienne/thickness");
    }

    #[test]
    fn a_copy_gets_an_id_of_its_own() {
        assert_eq!(own_id("Harbour sizes!", []), "own_harbour_sizes");
        assert_eq!(own_id("Harbour sizes!", ["own_harbour_sizes"]), "own_harbour_sizes_2");
    }
}
