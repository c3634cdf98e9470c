//! The OpenAPI document: what the handlers say of themselves, and what holds for all of them.

use std::sync::OnceLock;

use axum::body::Bytes;
use axum::http::header;
use axum::response::IntoResponse;
use utoipa::OpenApi;
use utoipa::openapi::path::{Operation, Parameter, ParameterBuilder, ParameterIn};
use utoipa::openapi::schema::{ObjectBuilder, Type};
use utoipa::openapi::{ContentBuilder, HeaderBuilder, Ref, RefOr, Required, Response, ResponseBuilder};

use crate::error::{ApiError, ProblemDocument};
use crate::extract::{HAPPENED_AT, WRITE_ID};
use crate::groups;

#[derive(OpenApi)]
#[openapi(
    info(
        title = "Yard Notch",
        description = "Plan knife-skills lessons, run the class, measure, follow each student. Lengths are millimetres. Failures are application/problem+json."
    ),
    components(schemas(ProblemDocument))
)]
struct Document;

/// The OpenAPI document, as served and as the front end's types are generated from.
pub fn openapi() -> utoipa::openapi::OpenApi {
    let described = |router: utoipa_axum::router::OpenApiRouter<_>| router.split_for_parts().1;
    let mut reading = described(groups::reading());
    reading.merge(described(groups::reading_files()));
    reading.merge(described(groups::of_who_asks()));
    reading.merge(described(groups::of_instructors()));
    reading.merge(described(groups::going_on()));
    let mut writing = utoipa::openapi::OpenApi::default();
    for group in groups::all_writing() {
        writing.merge(described(group));
    }
    let open = described(groups::open());
    for operation in operations(&mut writing) {
        operation.parameters.get_or_insert_default().extend(headers_of_a_write().map(RefOr::T));
        operation.responses.responses.insert("507".to_owned(), RefOr::T(failure("The disk is full; nothing was kept.")));
    }
    let mut document = Document::openapi();
    for group in [reading, writing, open] {
        document.merge(group);
    }
    for operation in operations(&mut document) {
        let responses = &mut operation.responses.responses;
        responses.insert("4XX".to_owned(), RefOr::T(failure("Refused: why, and at which fields.")));
        responses.insert("503".to_owned(), RefOr::T(busy()));
        responses.insert("5XX".to_owned(), RefOr::T(failure("Something went wrong on the server's side.")));
    }
    document
}

fn operations(document: &mut utoipa::openapi::OpenApi) -> impl Iterator<Item = &mut Operation> {
    let items = document.paths.paths.values_mut();
    items.flat_map(|item| [&mut item.get, &mut item.put, &mut item.post, &mut item.delete, &mut item.patch]).flatten()
}

fn failure(why: &str) -> Response {
    let problem = ContentBuilder::new().schema(Some(Ref::from_schema_name("ProblemDocument"))).build();
    ResponseBuilder::new().description(why).content("application/problem+json", problem).build()
}

fn busy() -> Response {
    let mut response = failure("No time for it now: nothing was begun, or nothing of it was kept.");
    let seconds = ObjectBuilder::new().schema_type(Type::Integer).description(Some("Seconds after which to try again.")).build();
    response.headers.insert("Retry-After".to_owned(), RefOr::T(HeaderBuilder::new().schema(Some(seconds)).build()));
    response
}

fn headers_of_a_write() -> impl Iterator<Item = Parameter> {
    let header = |name: &str, schema: ObjectBuilder, why: &str| {
        ParameterBuilder::new()
            .name(name)
            .parameter_in(ParameterIn::Header)
            .required(Required::False)
            .schema(Some(schema.schema_type(Type::String).build()))
            .description(Some(why))
            .build()
    };
    let id = ObjectBuilder::new().min_length(Some(8)).max_length(Some(64)).pattern(Some("^[A-Za-z0-9-]+$"));
    let moment =
        ObjectBuilder::new().format(Some(utoipa::openapi::SchemaFormat::KnownFormat(utoipa::openapi::KnownFormat::DateTime)));
    [
        header(WRITE_ID, id, "Made by the device, unlike all others: the same write sent again is kept once."),
        header(HAPPENED_AT, moment, "When it happened on the device; now, if left out. Within the past seven days."),
    ]
    .into_iter()
}

/// The document, written out when it is first asked for: as a value it is large.
pub(crate) async fn description() -> Result<impl IntoResponse, ApiError> {
    static WRITTEN: OnceLock<Bytes> = OnceLock::new();
    let written = match WRITTEN.get() {
        Some(written) => written.clone(),
        None => {
            let written = serde_json::to_vec(&openapi()).map_err(|error| ApiError::Internal(error.to_string()))?;
            WRITTEN.get_or_init(|| Bytes::from(written)).clone()
        }
    };
    Ok(([(header::CONTENT_TYPE, "application/json")], written))
}

#[cfg(test)]
mod tests {
    use serde_json::Value;

    use super::*;

    #[test]
    fn what_is_part_of_another_record_does_not_refuse_the_others_fields() {
        let document = serde_json::to_value(openapi()).unwrap();
        let schemas = document["components"]["schemas"].as_object().unwrap();
        let named = |part: &Value| part["$ref"].as_str().and_then(|path| path.rsplit('/').next()).map(str::to_owned);
        let parts = |schema: &Value| schema["allOf"].as_array().into_iter().flatten().filter_map(named).collect::<Vec<_>>();
        let closed: Vec<_> = schemas
            .iter()
            .flat_map(|(name, schema)| parts(schema).into_iter().map(move |part| (name, part)))
            .filter(|(_, part)| schemas[part]["additionalProperties"] == Value::Bool(false))
            .collect();
        assert!(closed.is_empty(), "{closed:?}");
        assert!(schemas.values().any(|schema| !parts(schema).is_empty()), "some are made of parts");
    }

    #[test]
    fn every_route_tells_of_its_failures() {
        let mut document = openapi();
        let mut writes = 0;
        for operation in operations(&mut document) {
            let responses = &operation.responses.responses;
            for status in ["4XX", "503", "5XX"] {
                let RefOr::T(response) = &responses[status] else { panic!("{status} of {:?}", operation.operation_id) };
                assert!(response.content.contains_key("application/problem+json"));
            }
            writes += usize::from(responses.contains_key("507"));
        }
        assert_eq!(writes, crate::deeds::how_many(), "every write may find the disk full");
    }
}
