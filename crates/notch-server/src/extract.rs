//! Extractors whose rejections have our error shape.

use axum::body::Bytes;
use axum::extract::{FromRequest, FromRequestParts, MatchedPath, Path, Query, RawPathParams, Request};
use axum::http::request::Parts;
use axum::http::{StatusCode, header};
use jiff::{SignedDuration, Timestamp};
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::staff::Role;
use notch_store::{ChangeMade, Reader};
use serde::de::DeserializeOwned;

use crate::deeds;
use crate::error::ApiError;
use crate::limits::BODY_LIMIT;
use crate::who::Who;

/// A JSON body. Rejected: another content type, more than its group of routes takes, broken UTF-8,
/// broken JSON, and a field of the wrong type, which is named.
pub(crate) struct Body<T>(pub T);

impl<T: DeserializeOwned, S: Send + Sync> FromRequest<S> for Body<T> {
    type Rejection = ApiError;

    async fn from_request(request: Request, state: &S) -> Result<Self, ApiError> {
        let kind = request.headers().get(header::CONTENT_TYPE).and_then(|value| value.to_str().ok()).unwrap_or("");
        if !kind.starts_with("application/json") {
            return Err(ApiError::Body(format!("The content type is “{kind}”; allowed: application/json.")));
        }
        let bytes = Bytes::from_request(request, state).await.map_err(|rejection| match rejection.status() {
            StatusCode::PAYLOAD_TOO_LARGE => ApiError::TooLarge(BODY_LIMIT),
            _ => ApiError::Body("The request broke off.".to_owned()),
        })?;
        let text = std::str::from_utf8(&bytes)
            .map_err(|error| ApiError::Body(format!("The text is not UTF-8 from byte {} on.", error.valid_up_to())))?;
        let json = &mut serde_json::Deserializer::from_str(text);
        let body = serde_path_to_error::deserialize(&mut *json).map_err(|error| not_as_expected(&error))?;
        json.end().map_err(|error| {
            ApiError::Body(format!("Something follows the JSON at line {}, column {}.", error.line(), error.column()))
        })?;
        Ok(Body(body))
    }
}

pub(crate) fn not_as_expected(error: &serde_path_to_error::Error<serde_json::Error>) -> ApiError {
    let inner = error.inner();
    if inner.is_data() {
        let path = error.path().to_string();
        let pointer = if path == "." { String::new() } else { format!("/{}", path.replace('.', "/")) };
        let why = inner.to_string();
        let why = why.split(" at line ").next().unwrap_or(&why).to_owned();
        let name = if pointer.is_empty() { "The request" } else { &path };
        let sentence = format!("{name}: {why}.");
        ApiError::Fields(vec![Problem::said(pointer, name, "", sentence.into(), "a value of the right kind")])
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

/// Header with the id that a device gives to a write: the same each time it is sent.
pub(crate) const WRITE_ID: &str = "idempotency-key";

/// Header with the moment at which it happened on the device, an instant: `2026-11-03T17:42:00Z`.
pub(crate) const HAPPENED_AT: &str = "happened-at";

/// How far a device's clock may run ahead of ours.
const AHEAD: SignedDuration = SignedDuration::from_mins(5);

/// How long a device may keep a write to itself.
const LATE: SignedDuration = SignedDuration::from_hours(7 * 24);

/// What a device says of a write beside its body. Both are optional: without an id a write that is sent
/// twice is done twice; without a moment it happens as it arrives.
#[derive(Clone, Debug)]
pub(crate) struct DeviceWrite {
    /// Made by the device, unlike all others.
    pub id: Option<String>,
    /// What is asked for: an id counts for this alone.
    pub action: String,
    /// Who sends it.
    who: Who,
    /// Method and route, as the routes are listed.
    route: String,
    /// The id in the path.
    subject_id: Option<i64>,
    /// When it happened, by the device.
    happened_at: Option<Timestamp>,
}

impl DeviceWrite {
    /// When it happened; now if the device does not say. A clock that runs a little ahead is set back.
    ///
    /// # Errors
    /// A moment to come, or too long ago to be taken on trust.
    pub(crate) fn happened(&self, now: Timestamp) -> Result<Timestamp, ApiError> {
        let Some(at) = self.happened_at else { return Ok(now) };
        if now.duration_since(at) > LATE || at.duration_since(now) > AHEAD {
            let allowed = "a moment of the past seven days: set the clock of this device";
            return Err(ApiError::Fields(vec![Problem::new(
                "",
                "Happened at",
                at.to_string(),
                "is not near the present",
                allowed,
            )]));
        }
        Ok(at.min(now))
    }

    /// Method and route, as the changes are listed.
    pub(crate) fn deed(&self) -> &str {
        &self.route
    }

    /// Whether an instructor sends it, or anybody where nobody signs in.
    pub(crate) fn instructs(&self) -> bool {
        self.who.role == Role::Instructor
    }

    /// Who sends it, by name; none while no name was chosen.
    pub(crate) fn by(&self) -> Option<String> {
        (!self.who.name.is_empty()).then(|| self.who.name.clone())
    }

    /// What is noted of it: who does what, to what, as it is called now.
    ///
    /// # Errors
    /// A moment that is not near the present; what the database says.
    pub(crate) fn noted(&self, reader: &Reader<'_>, catalogue: &Catalogue, now: Timestamp) -> Result<ChangeMade, ApiError> {
        let (subject, subject_id) = deeds::before(reader, catalogue, &self.route, self.subject_id);
        Ok(ChangeMade {
            id: 0,
            at: self.happened(now)?,
            staff_id: self.who.staff_id,
            name: self.who.name.clone(),
            deed: self.route.clone(),
            subject,
            subject_id,
        })
    }
}

impl<S: Send + Sync> FromRequestParts<S> for DeviceWrite {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, state: &S) -> Result<Self, ApiError> {
        let who = Who::from_request_parts(parts, state).await?;
        let matched = parts.extensions.get::<MatchedPath>().map_or_else(String::new, |path| path.as_str().to_owned());
        let ids = RawPathParams::from_request_parts(parts, state).await.ok();
        let subject_id = ids.and_then(|ids| ids.iter().find_map(|(_, value)| value.parse().ok()));
        let text = |name: &str| parts.headers.get(name).map(|value| value.to_str().unwrap_or("").to_owned());
        let wrong = |name: &str, value: &str, allowed: &str| {
            ApiError::Fields(vec![Problem::new("", name, value, "cannot be taken", allowed)])
        };
        let id = text(WRITE_ID);
        let sound =
            |id: &String| (8..=64).contains(&id.len()) && id.bytes().all(|byte| byte.is_ascii_alphanumeric() || byte == b'-');
        if let Some(id) = id.as_ref().filter(|id| !sound(id)) {
            return Err(wrong("Idempotency-Key", id, "8 to 64 letters, digits and hyphens"));
        }
        let happened_at = match text(HAPPENED_AT) {
            None => None,
            Some(at) => Some(at.parse().map_err(|_| wrong("Happened-At", &at, "an instant, e.g. 2026-11-03T17:42:00Z"))?),
        };
        let action = format!("{} {}", parts.method, parts.uri.path());
        Ok(DeviceWrite { id, action, who, route: format!("{} {matched}", parts.method), subject_id, happened_at })
    }
}
