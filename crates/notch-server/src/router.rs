//! Every route and every layer, in order.

use std::net::IpAddr;

use axum::body::{Body, to_bytes};
use axum::extract::{DefaultBodyLimit, Request, State};
use axum::http::{HeaderName, HeaderValue, header};
use axum::middleware::{self, Next};
use axum::response::{IntoResponse, Response};
use axum::{Router, routing};
use tower::{ServiceBuilder, ServiceExt};
use tower_http::CompressionLevel;
use tower_http::catch_panic::CatchPanicLayer;
use tower_http::compression::CompressionLayer;
use tower_http::compression::predicate::{NotForContentType, Predicate, SizeAbove};
use tower_http::csrf::CsrfLayer;
use tower_http::set_header::SetResponseHeaderLayer;
use tower_http::trace::TraceLayer;
use utoipa_axum::router::OpenApiRouter;

use crate::auth::{Standing, require_instructor, require_sign_in, standing};
use crate::description::description;
use crate::embedded_web;
use crate::error::ApiError;
use crate::groups::{assisting, going_on, of_instructors, of_who_asks, open, reading, reading_files, writing, writing_files};
use crate::json_schema::schema;
use crate::keep_answers::keep_answers;
use crate::limits::{BODY_LIMIT, FILE_LIMIT, TIMEOUT};
use crate::made_up::{MADE_UP_PATH, looks_there};
use crate::secure::{self, Reach};
use crate::state::AppState;
use crate::watch::count;

/// Limits of a group of routes that take a small body, answer at once and whole. A group whose answers
/// stream, or whose bodies are large, gets limits of its own.
fn at_once(group: Router) -> Router {
    let layers = ServiceBuilder::new()
        .layer(
            CompressionLayer::new()
                .quality(CompressionLevel::Fastest)
                .compress_when(SizeAbove::new(1024).and(NotForContentType::IMAGES).and(NotForContentType::SSE)),
        )
        .layer(DefaultBodyLimit::max(BODY_LIMIT));
    group.layer(layers)
}

/// A question that takes too long is given up: nothing hangs on it.
async fn asked_in_time(request: Request, next: Next) -> Response {
    let given_up = "This took too long and was given up. Ask for less, or again in a moment.";
    tokio::time::timeout(TIMEOUT, next.run(request)).await.unwrap_or_else(|_| ApiError::Busy(given_up).into_response())
}

/// A change must have come in whole before it begins; once it has begun its answer is waited for: it is
/// never told no and kept all the same.
async fn sent_in_time(request: Request, next: Next) -> Response {
    sent_whole(BODY_LIMIT, request, next).await
}

/// The same of a file, which is larger.
async fn file_sent_in_time(request: Request, next: Next) -> Response {
    sent_whole(FILE_LIMIT, request, next).await
}

async fn sent_whole(most: usize, request: Request, next: Next) -> Response {
    let (parts, body) = request.into_parts();
    match tokio::time::timeout(TIMEOUT, to_bytes(body, most)).await {
        Ok(Ok(body)) => next.run(Request::from_parts(parts, Body::from(body))).await,
        Ok(Err(_)) => ApiError::TooLarge(most).into_response(),
        Err(_) => ApiError::TooSlow.into_response(),
    }
}

/// The whole program over HTTP: the school's own routes, and those of the made-up one for who looks at it.
pub fn router(state: AppState) -> Router {
    let routes = routes(state.settings.reach.clone());
    if state.settings.made_up.is_none() {
        return let_in(routes, state);
    }
    let own = let_in(routes, state.clone());
    // Before any routing: what a path says is each school's own to read.
    Router::new().fallback(move |request: Request| which_school(state.clone(), own.clone(), request))
}

/// Sends a browser that looks at the made-up school there; it may look where it may see the own one.
async fn which_school(state: AppState, own: Router, request: Request) -> Response {
    let looks = looks_there(request.headers()) && request.uri().path() != MADE_UP_PATH;
    let Some(made_up) = state.settings.made_up.as_ref().filter(|_| looks) else {
        return own.oneshot(request).await.into_response();
    };
    match standing(&state, request.headers()).await {
        Ok(Standing::Out { .. }) => own.oneshot(request).await.into_response(),
        Ok(_) => match made_up.router().await {
            Ok(router) => router.oneshot(request).await.into_response(),
            Err(error) => error.into_response(),
        },
        Err(error) => error.into_response(),
    }
}

/// Lets every request in to one school.
fn let_in(routes: Router, state: AppState) -> Router {
    Router::new().fallback(move |mut request: Request| {
        request.extensions_mut().insert(state.clone());
        routes.clone().oneshot(request)
    })
}

/// The routes and layers of any school, which each request says for itself: many schools need them once.
pub(crate) fn routes(reach: Reach) -> Router {
    let plain = |group: OpenApiRouter| group.split_for_parts().0;
    let files = plain(reading_files())
        .merge(plain(writing_files()).route_layer(middleware::from_fn(require_instructor)))
        .route_layer(middleware::from_fn(file_sent_in_time))
        .route_layer(DefaultBodyLimit::max(FILE_LIMIT));
    let instructors = plain(writing()).merge(plain(of_instructors())).route_layer(middleware::from_fn(require_instructor));
    // Inside the sign-in: what is kept is given to those alone who may ask.
    let guarded = plain(reading())
        .route_layer(middleware::from_fn(keep_answers))
        .route_layer(middleware::from_fn(asked_in_time))
        .merge(plain(assisting()).merge(plain(of_who_asks())).merge(instructors).route_layer(middleware::from_fn(sent_in_time)))
        .merge(files)
        .merge(plain(going_on()))
        .route_layer(middleware::from_fn(require_sign_in));
    let api = guarded
        .merge(plain(open()).route_layer(middleware::from_fn(sent_in_time)))
        .route("/api/openapi.json", routing::get(description))
        .route("/api/course-file/schema", routing::get(schema))
        .route("/api/{*rest}", routing::any(|| async { ApiError::NotFound("there is no such address".to_owned()) }))
        .method_not_allowed_fallback(|| async { ApiError::Method })
        .route_layer(middleware::from_fn(count))
        .layer(SetResponseHeaderLayer::if_not_present(header::CACHE_CONTROL, HeaderValue::from_static("no-store")));
    let trust = secure::pages(reach.clone());
    dressed(at_once(api.fallback(routing::get(embedded_web::serve)).merge(trust)), reach)
}

/// What is at addresses of a host that are no school's: the front end's files, which hold nothing of any school.
pub(crate) fn of_no_school(reach: Reach) -> Router {
    let words = "Yard Notch. Each school here has an address of its own; who works there tells it.\n";
    let routes = Router::new()
        .route("/", routing::get(move || async move { words }))
        .fallback(routing::get(embedded_web::serve_file))
        .merge(secure::pages(reach.clone()));
    dressed(routes, reach)
}

/// What is around all routes.
fn dressed(routes: Router, reach: Reach) -> Router {
    let fixed = |name: &'static str, value: &'static str| {
        SetResponseHeaderLayer::if_not_present(HeaderName::from_static(name), HeaderValue::from_static(value))
    };
    // From the outside in: what is logged covers all; a panic becomes an answer; the headers are on
    // every answer, refusals too; then who may ask at all. How long and how large, each group says.
    let layers = ServiceBuilder::new()
        .layer(TraceLayer::new_for_http().make_span_with(|request: &Request| {
            tracing::debug_span!("request", method = %request.method(), path = without_secret(request.uri().path()))
        }))
        .layer(CatchPanicLayer::custom(|_| ApiError::Internal("a handler panicked".to_owned()).into_response()))
        .layer(fixed("x-content-type-options", "nosniff"))
        .layer(fixed("x-frame-options", "DENY"))
        .layer(fixed("referrer-policy", "same-origin"))
        .layer(fixed("cross-origin-opener-policy", "same-origin"))
        .layer(fixed("cross-origin-resource-policy", "same-origin"))
        .layer(fixed("permissions-policy", "camera=(), geolocation=(), microphone=()"))
        .layer(fixed("content-security-policy", "default-src 'none'; frame-ancestors 'none'"))
        .layer(middleware::from_fn_with_state(reach, own_host))
        .layer(CsrfLayer::new().with_rejection_response(|_error| {
            ApiError::Forbidden("Changes are taken only from this program's own pages.").into_response()
        }));
    routes.layer(layers)
}

/// Where the last part of a path is a secret: it opens what follows it, and stands in no log.
const SECRET_AFTER: [&str; 3] = ["/join/", "/api/join/", "/api/calendar/"];

/// A path as it is logged.
fn without_secret(path: &str) -> &str {
    SECRET_AFTER.into_iter().find(|start| path.starts_with(start)).unwrap_or(path)
}

/// A program that listens to this machine only answers only to this machine's names, so that no
/// page from elsewhere can reach it under a name that was pointed here.
async fn own_host(State(reach): State<Reach>, request: Request, next: Next) -> Response {
    let host = request.headers().get(header::HOST).and_then(|host| host.to_str().ok());
    let host = host.or_else(|| request.uri().host()).unwrap_or("");
    let name = host.rsplit_once(':').filter(|(_, port)| port.bytes().all(|b| b.is_ascii_digit())).map_or(host, |(name, _)| name);
    let address: Option<IpAddr> = name.trim_start_matches('[').trim_end_matches(']').parse().ok();
    if reach.is_loopback() && name != "localhost" && !address.is_some_and(|address| address.is_loopback()) {
        return ApiError::Forbidden("This program listens to this machine only, under its own names.").into_response();
    }
    next.run(request).await
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn no_secret_of_a_path_is_logged() {
        assert_eq!(without_secret("/join/0123abcd"), "/join/");
        assert_eq!(without_secret("/api/calendar/0123abcd"), "/api/calendar/");
        assert_eq!(without_secret("/api/courses/1"), "/api/courses/1");
    }
}
