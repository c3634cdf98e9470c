//! Where a school's own value differs from the shipped one.

use std::collections::{BTreeMap, BTreeSet};

use serde::Serialize;
use serde_json::Value;

use super::{OwnValue, with_own};
use crate::catalogue::Catalogue;
use crate::problem::Problem;

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
        let fields: BTreeSet<&String> = before.keys().chain(after.keys()).collect();
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
