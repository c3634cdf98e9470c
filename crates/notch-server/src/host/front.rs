//! Which school a request goes to: by its host name, or by `/s/NAME` where its path begins with that.

use std::sync::Arc;

use axum::Router;
use axum::extract::Request;
use axum::http::{HeaderMap, Uri, header};
use axum::response::{IntoResponse, Redirect, Response};
use axum::routing::any;
use notch_core::school::{HostName, SchoolName};
use tower::ServiceExt;

use super::schools::Host;
use super::under::UNDER;
use crate::error::ApiError;
use crate::router::of_no_school;

/// The whole host over HTTP.
pub fn host_router(host: Host) -> Router {
    let files = Arc::new(of_no_school(host.reach().clone()));
    Router::new().fallback(any(move |request: Request| which_school(host.clone(), files.clone(), request)))
}

/// The host name that a request was sent to, without its port.
fn host_name(request: &Request) -> Option<HostName> {
    let sent = request.headers().get(header::HOST).and_then(|host| host.to_str().ok()).or_else(|| request.uri().host())?;
    sent.rsplit_once(':').map_or(sent, |(name, _)| name).parse().ok()
}

async fn which_school(host: Host, files: Arc<Router>, request: Request) -> Response {
    if let Some(name) = host_name(&request).and_then(|name| host.with_host(&name)) {
        return host.answer(&name, request).await;
    }
    let path = request.uri().path();
    let Some((asked, within)) = path.strip_prefix(UNDER).map(|rest| rest.split_once('/').unwrap_or((rest, ""))) else {
        return files.as_ref().clone().oneshot(request).await.into_response();
    };
    // Whatever is no name leads nowhere.
    let name: SchoolName = match asked.parse() {
        Ok(name) => name,
        Err(error) => return ApiError::NotFound(format!("there is no such school: {error}")).into_response(),
    };
    if asked.len() + UNDER.len() == path.len() {
        return Redirect::permanent(&format!("{path}/")).into_response();
    }
    if let Some(own) = host.host_of(&name) {
        let scheme = if host.reach().is_secure() { "https" } else { "http" };
        let port = sent_port(request.headers()).map_or(String::new(), |port| format!(":{port}"));
        return Redirect::temporary(&format!("{scheme}://{own}{port}/{within}")).into_response();
    }
    let within = format!("/{within}{}", request.uri().query().map_or(String::new(), |query| format!("?{query}")));
    let (mut parts, body) = request.into_parts();
    parts.uri = match within.parse::<Uri>() {
        Ok(uri) => uri,
        Err(error) => return ApiError::NotFound(error.to_string()).into_response(),
    };
    host.answer(&name, Request::from_parts(parts, body)).await
}

/// The port that a request was sent to, where it says one.
fn sent_port(headers: &HeaderMap) -> Option<u16> {
    headers.get(header::HOST)?.to_str().ok()?.rsplit_once(':')?.1.parse().ok()
}
