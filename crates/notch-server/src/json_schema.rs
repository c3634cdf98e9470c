//! The published JSON Schema of a course file, made from the same types as the API's description.

use std::collections::BTreeSet;

use axum::http::header;
use axum::response::IntoResponse;
use notch_core::course_file::{FORMAT, VERSION};
use serde_json::{Map, Value, json};

use crate::description::openapi;
use crate::error::ApiError;

/// Where the description keeps its schemas, and where a schema that stands alone does.
const DESCRIBED: &str = "#/components/schemas/";
const ALONE: &str = "#/$defs/";

/// The JSON Schema (2020-12) of a course file, as text.
///
/// # Errors
/// None that the types of this program can cause: what the description cannot be written as.
pub fn course_file_schema() -> Result<String, serde_json::Error> {
    let described = serde_json::to_value(openapi())?;
    let schemas = described.pointer("/components/schemas").and_then(Value::as_object);
    let mut defs = Map::new();
    let mut open = vec!["CourseFile".to_owned()];
    let mut seen: BTreeSet<String> = open.iter().cloned().collect();
    while let Some(name) = open.pop() {
        let Some(schema) = schemas.and_then(|schemas| schemas.get(&name)) else { continue };
        let mut schema = schema.clone();
        alone(&mut schema, &mut |name| {
            if seen.insert(name.to_owned()) {
                open.push(name.to_owned());
            }
        });
        defs.insert(name, schema);
    }
    if let Some(properties) = defs.get_mut("CourseFile").and_then(|file| file.get_mut("properties")) {
        properties["format"] = json!({ "const": FORMAT, "description": "Name of the format." });
        properties["version"] = json!({ "const": VERSION, "description": "Version of the format." });
    }
    let schema = json!({
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": format!("A course of Yard Notch, version {VERSION}"),
        "description": "Lengths are millimetres. Where a record refers to another it says its place in the list, from 0.",
        "$ref": format!("{ALONE}CourseFile"),
        "$defs": defs,
    });
    serde_json::to_string_pretty(&schema)
}

/// The published schema, as served.
pub(crate) async fn schema() -> Result<impl IntoResponse, ApiError> {
    let schema = course_file_schema().map_err(|error| ApiError::Internal(error.to_string()))?;
    Ok(([(header::CONTENT_TYPE, "application/schema+json")], schema))
}

/// Turns the references of a schema to where they stand alone, and tells each name.
fn alone(schema: &mut Value, tell: &mut dyn FnMut(&str)) {
    match schema {
        Value::Object(fields) => {
            for (key, value) in fields {
                let name = value.as_str().filter(|_| key == "$ref").and_then(|path| path.strip_prefix(DESCRIBED));
                match name.map(str::to_owned) {
                    Some(name) => {
                        tell(&name);
                        *value = format!("{ALONE}{name}").into();
                    }
                    None => alone(value, tell),
                }
            }
        }
        Value::Array(values) => values.iter_mut().for_each(|value| alone(value, tell)),
        _ => {}
    }
}
