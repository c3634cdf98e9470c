//! Extractors whose rejections have our error shape.

use axum::body::Bytes;
use axum::extract::{FromRequest, FromRequestParts, Path, Query, Request};
use axum::http::request::Parts;
use axum::http::{StatusCode, header};
use notch_core::Problem;
use serde::de::DeserializeOwned;

use crate::error::ApiError;

/// Most bytes of a request's body.
pub(crate) const BODY_LIMIT: usize = 256 * 1024;

/// A JSON body. Rejected: another content type, more than [`BODY_LIMIT`], broken UTF-8, broken
/// JSON, and a field of the wrong type, which is named.
pub(crate) struct Body<T>(pub T);

impl<T: DeserializeOwned, S: Send + Sync> FromRequest<S> for Body<T> {
    type Rejection = ApiError;

    async fn from_request(request: Request, state: &S) -> Result<Self, ApiError> {
        let kind = request.headers().get(header::CONTENT_TYPE).and_then(|value| value.to_str().ok()).unwrap_or("");
        if !kind.starts_with("application/json") {
            return Err(ApiError::Body(format!("The content type is “{kind}”; allowed: application/json.")));
        }
        let bytes = Bytes::from_request(request, state).await.map_err(|rejection| match rejection.status() {
            StatusCode::PAYLOAD_TOO_LARGE => ApiError::TooLarge { limit: BODY_LIMIT },
            _ => ApiError::Body("The request broke off.".to_owned()),
        })?;
        let text = std::str::from_utf8(&bytes)
            .map_err(|error| ApiError::Body(format!("The text is not UTF-8 from byte {} on.", error.valid_up_to())))?;
        let json = &mut serde_json::Deserializer::from_str(text);
        serde_path_to_error::deserialize(json).map(Body).map_err(|error| not_as_expected(&error))
    }
}

fn not_as_expected(error: &serde_path_to_error::Error<serde_json::Error>) -> ApiError {
    let inner = error.inner();
    if inner.is_data() {
        let path = error.path().to_string();
        let pointer = if path == "." { String::new() } else { format!("/{}", path.replace('.', "/")) };
        let why = inner.to_string();
        let why = why.split(" at line ").next().unwrap_or(&why).to_owned();
        let name = if pointer.is_empty() { "the request" } else { &path };
        ApiError::Fields(vec![Problem {
            pointer,
            value: String::new(),
            allowed: "a value of the right kind".to_owned(),
            message: format!("{name}: {why}."),
        }])
    } else {
        ApiError::Body(format!("The JSON breaks off or is wrong at line {}, column {}.", inner.line(), inner.column()))
    }
}

/// An id in the path.
pub(crate) struct Id(pub i64);

impl<S: Send + Sync> FromRequestParts<S> for Id {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let Path(id) = Path::<i64>::from_request_parts(parts, state)
            .await
            .map_err(|_| ApiError::NotFound("there is nothing at this address: an id is a whole number".to_owned()))?;
        Ok(Id(id))
    }
}

/// The query of an address.
pub(crate) struct Asked<T>(pub T);

impl<T: DeserializeOwned, S: Send + Sync> FromRequestParts<S> for Asked<T> {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let Query(asked) =
            Query::<T>::from_request_parts(parts, state).await.map_err(|rejection| ApiError::Body(rejection.body_text()))?;
        Ok(Asked(asked))
    }
}
