//! Pages without the front end: they must open before a device trusts the school, and where no school is.

use axum::http::{HeaderValue, header};
use axum::response::{IntoResponse, Response};

use crate::error::ApiError;
use crate::secret::random_token;

/// A page of a title, its style and its content in HTML; no script, and a form asks this address alone.
///
/// # Errors
/// The machine has no random figures.
pub(crate) fn plain_page(title: &str, style: &str, content: &str) -> Result<Response, ApiError> {
    let nonce = random_token()?;
    let policy =
        format!("default-src 'none'; style-src 'nonce-{nonce}'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'");
    let policy = HeaderValue::from_str(&policy).map_err(|error| ApiError::Internal(error.to_string()))?;
    let headers = [
        (header::CONTENT_TYPE, HeaderValue::from_static("text/html; charset=utf-8")),
        (header::CACHE_CONTROL, HeaderValue::from_static("no-store")),
        (header::CONTENT_SECURITY_POLICY, policy),
    ];
    let html = format!(
        "<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\">\
         <meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\
         <title>{title} · Yard Notch</title><style nonce=\"{nonce}\">{style}</style></head><body><main>{content}</main></body></html>"
    );
    Ok((headers, html).into_response())
}

/// Text as it stands in HTML.
pub(crate) fn escaped(text: &str) -> String {
    text.replace('&', "&amp;").replace('<', "&lt;").replace('>', "&gt;").replace('"', "&quot;")
}
