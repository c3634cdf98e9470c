//! Every route and every layer, in order.

use std::net::IpAddr;
use std::sync::OnceLock;

use axum::body::{Body, Bytes, to_bytes};
use axum::extract::{DefaultBodyLimit, Request, State};
use axum::http::{HeaderName, HeaderValue, header};
use axum::middleware::{self, Next};
use axum::response::{IntoResponse, Response};
use axum::{Router, routing};
use tower::ServiceBuilder;
use tower_http::CompressionLevel;
use tower_http::catch_panic::CatchPanicLayer;
use tower_http::compression::CompressionLayer;
use tower_http::compression::predicate::{NotForContentType, Predicate, SizeAbove};
use tower_http::csrf::CsrfLayer;
use tower_http::set_header::SetResponseHeaderLayer;
use tower_http::trace::TraceLayer;
use utoipa::OpenApi;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::auth::require_sign_in;
use crate::embedded_web;
use crate::error::{ApiError, ProblemDocument};
use crate::keep_answers::keep_answers;
use crate::limits::{BODY_LIMIT, TIMEOUT};
use crate::routes as r;
use crate::state::AppState;

#[derive(OpenApi)]
#[openapi(
    info(
        title = "Yard Notch",
        description = "Plan knife-skills lessons, run the class, measure, follow each student. Lengths are millimetres. Failures are application/problem+json."
    ),
    components(schemas(ProblemDocument))
)]
struct Document;

/// Routes that read and change nothing, questions with a body too: their answers are kept until
/// something changes. They need the passphrase, where one was set.
fn reading() -> OpenApiRouter<AppState> {
    OpenApiRouter::new()
        .routes(routes!(r::catalogue::catalogue))
        .routes(routes!(r::courses::list))
        .routes(routes!(r::courses::show))
        .routes(routes!(r::rack::list))
        .routes(routes!(r::rack::table))
        .routes(routes!(r::rack::read))
        .routes(routes!(r::care::show))
        .routes(routes!(r::count::sheet))
        .routes(routes!(r::count::count))
        .routes(routes!(r::playbook::show))
        .routes(routes!(r::playbook::try_doctrines))
        .routes(routes!(r::playbook::kit_choices, r::playbook::kit))
        .routes(routes!(r::bench::cut))
        .routes(routes!(r::bench::onion))
        .routes(routes!(r::bench::choose))
        .routes(routes!(r::bench::beside))
        .routes(routes!(r::bench::onions))
        .routes(routes!(r::own::list))
        .routes(routes!(r::plan::advice))
        .routes(routes!(r::plan::show))
        .routes(routes!(r::plan::time_rule))
        .routes(routes!(r::class::show))
        .routes(routes!(r::class::judge_pieces))
        .routes(routes!(r::yard::show))
        .routes(routes!(r::yard::student))
}

/// Routes that change something. They need the passphrase, where one was set, and take the id and the
/// moment that a device gives to a write.
fn writing() -> OpenApiRouter<AppState> {
    OpenApiRouter::new()
        .routes(routes!(r::courses::add))
        .routes(routes!(r::courses::change))
        .routes(routes!(r::courses::add_student))
        .routes(routes!(r::students::change))
        .routes(routes!(r::students::archive))
        .routes(routes!(r::rack::add))
        .routes(routes!(r::rack::change))
        .routes(routes!(r::rack::archive))
        .routes(routes!(r::rack::add_many))
        .routes(routes!(r::rack::take))
        .routes(routes!(r::care::add))
        .routes(routes!(r::count::tick))
        .routes(routes!(r::count::count_knives))
        .routes(routes!(r::count::close))
        .routes(routes!(r::playbook::choose_doctrines))
        .routes(routes!(r::own::keep))
        .routes(routes!(r::own::go_back))
        .routes(routes!(r::plan::add_lesson))
        .routes(routes!(r::plan::change_lesson))
        .routes(routes!(r::plan::add_exercise))
        .routes(routes!(r::plan::change_exercise))
        .routes(routes!(r::plan::archive_exercise))
        .routes(routes!(r::class::start))
        .routes(routes!(r::class::stop))
        .routes(routes!(r::class::mark))
        .routes(routes!(r::class::add_sample))
        .routes(routes!(r::class::add_incident))
        .routes(routes!(r::class::take_sample_back))
        .routes(routes!(r::class::take_incident_back))
}

/// Routes that anybody may ask who can reach the server.
fn open() -> OpenApiRouter<AppState> {
    OpenApiRouter::new().routes(routes!(r::about::about)).routes(routes!(r::sign_in::sign_in, r::sign_in::sign_out))
}

/// The OpenAPI document, as served and as the front end's types are generated from.
pub fn openapi() -> utoipa::openapi::OpenApi {
    let all = OpenApiRouter::with_openapi(Document::openapi()).merge(reading()).merge(writing()).merge(open());
    all.split_for_parts().1
}

/// Limits of a group of routes that take a small body, answer at once and whole. A group whose answers
/// stream, or whose bodies are large, gets limits of its own.
fn at_once(group: Router<AppState>) -> Router<AppState> {
    let layers = ServiceBuilder::new()
        .layer(
            CompressionLayer::new()
                .quality(CompressionLevel::Fastest)
                .compress_when(SizeAbove::new(1024).and(NotForContentType::IMAGES)),
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
    let (parts, body) = request.into_parts();
    match tokio::time::timeout(TIMEOUT, to_bytes(body, BODY_LIMIT)).await {
        Ok(Ok(body)) => next.run(Request::from_parts(parts, Body::from(body))).await,
        Ok(Err(_)) => ApiError::TooLarge.into_response(),
        Err(_) => ApiError::TooSlow.into_response(),
    }
}

/// The OpenAPI document, written out when it is first asked for: as a value it is large.
async fn description() -> Result<impl IntoResponse, ApiError> {
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

/// The whole program over HTTP.
pub fn router(state: AppState) -> Router {
    let plain = |group: OpenApiRouter<AppState>| group.split_for_parts().0;
    // Inside the sign-in: what is kept is given to those alone who may ask.
    let guarded = plain(reading())
        .route_layer(middleware::from_fn_with_state(state.clone(), keep_answers))
        .route_layer(middleware::from_fn(asked_in_time))
        .merge(plain(writing()).route_layer(middleware::from_fn(sent_in_time)))
        .route_layer(middleware::from_fn_with_state(state.clone(), require_sign_in));
    let api = guarded
        .merge(plain(open()).route_layer(middleware::from_fn(sent_in_time)))
        .route("/api/openapi.json", routing::get(description))
        .route("/api/{*rest}", routing::any(|| async { ApiError::NotFound("there is no such address".to_owned()) }))
        .method_not_allowed_fallback(|| async { ApiError::Method })
        .layer(SetResponseHeaderLayer::if_not_present(header::CACHE_CONTROL, HeaderValue::from_static("no-store")));
    let fixed = |name: &'static str, value: &'static str| {
        SetResponseHeaderLayer::if_not_present(HeaderName::from_static(name), HeaderValue::from_static(value))
    };
    // From the outside in: what is logged covers all; a panic becomes an answer; the headers are on
    // every answer, refusals too; then who may ask at all. How long and how large, each group says.
    let layers = ServiceBuilder::new()
        .layer(TraceLayer::new_for_http())
        .layer(CatchPanicLayer::custom(|_| ApiError::Internal("a handler panicked".to_owned()).into_response()))
        .layer(fixed("x-content-type-options", "nosniff"))
        .layer(fixed("x-frame-options", "DENY"))
        .layer(fixed("referrer-policy", "same-origin"))
        .layer(fixed("cross-origin-opener-policy", "same-origin"))
        .layer(fixed("cross-origin-resource-policy", "same-origin"))
        .layer(fixed("permissions-policy", "camera=(), geolocation=(), microphone=()"))
        .layer(fixed("content-security-policy", "default-src 'none'; frame-ancestors 'none'"))
        .layer(middleware::from_fn_with_state(state.clone(), own_host))
        .layer(CsrfLayer::new().with_rejection_response(|_error| {
            ApiError::Forbidden("Changes are taken only from this program's own pages.").into_response()
        }));
    at_once(api.fallback(routing::get(embedded_web::serve))).layer(layers).with_state(state)
}

/// A program that listens to this machine only answers only to this machine's names, so that no
/// page from elsewhere can reach it under a name that was pointed here.
async fn own_host(State(state): State<AppState>, request: Request, next: Next) -> Response {
    let host = request.headers().get(header::HOST).and_then(|host| host.to_str().ok());
    let host = host.or_else(|| request.uri().host()).unwrap_or("");
    let name = host.rsplit_once(':').filter(|(_, port)| port.bytes().all(|b| b.is_ascii_digit())).map_or(host, |(name, _)| name);
    let address: Option<IpAddr> = name.trim_start_matches('[').trim_end_matches(']').parse().ok();
    if state.settings.loopback && name != "localhost" && !address.is_some_and(|address| address.is_loopback()) {
        return ApiError::Forbidden("This program listens to this machine only, under its own names.").into_response();
    }
    next.run(request).await
}
