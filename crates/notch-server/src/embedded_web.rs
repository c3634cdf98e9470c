//! The front end, embedded in the program: hashed files for ever, the page itself never cached.

use axum::http::{HeaderMap, HeaderValue, StatusCode, Uri, header};
use axum::response::{IntoResponse, Response};
use rust_embed::RustEmbed;

use crate::error::ApiError;
use crate::let_in::School;
use crate::secret::random_token;

/// What `npm run build` made. A clone without it compiles, and says what to do.
#[derive(RustEmbed)]
#[folder = "../../web/dist"]
#[allow_missing = true]
struct Web;

/// The worker that keeps the page for when there is no network.
const WORKER: &str = "sw.js";

/// Stands in the page where the nonce of each answer goes.
const NONCE: &str = "__NONCE__";

/// Stands in the page where it says what the addresses of the school begin with.
const SCHOOL: &str = "__SCHOOL__";

/// What the page names of the school's own: a device keeps the page of each school for itself.
const MANIFEST: &str = "\"/manifest.webmanifest\"";

/// A file of the front end, or the page for every address that is a place of the program.
pub(crate) async fn serve(School(state): School, uri: Uri, headers: HeaderMap) -> Response {
    let path = uri.path().trim_start_matches('/');
    if path.contains('.') || path.starts_with("assets/") {
        return serve_file(uri, headers).await;
    }
    page(&state.settings.reach.path).unwrap_or_else(IntoResponse::into_response)
}

/// A file of the front end.
pub(crate) async fn serve_file(uri: Uri, headers: HeaderMap) -> Response {
    let found = file(uri.path().trim_start_matches('/'), &headers);
    found.unwrap_or_else(|| ApiError::NotFound("there is no such file".to_owned()).into_response())
}

fn accepts(headers: &HeaderMap, coding: &str) -> bool {
    let accepted = headers.get(header::ACCEPT_ENCODING).and_then(|value| value.to_str().ok()).unwrap_or("");
    accepted.split(',').any(|part| {
        let mut parameters = part.split(';').map(str::trim);
        parameters.next() == Some(coding) && parameters.all(|parameter| parameter.replace(' ', "") != "q=0")
    })
}

/// A file, in the smallest form that the browser takes.
fn file(path: &str, headers: &HeaderMap) -> Option<Response> {
    let forms = [("br", ".br"), ("gzip", ".gz")];
    let packed = forms
        .into_iter()
        .filter(|(coding, _)| accepts(headers, coding))
        .find_map(|(coding, ending)| Some((Some(coding), Web::get(&format!("{path}{ending}"))?)));
    let (coding, found) = packed.or_else(|| Some((None, Web::get(path)?)))?;
    let kind = mime_guess::from_path(path).first_or_octet_stream();
    let mut response = found.data.into_owned().into_response();
    let set = response.headers_mut();
    set.insert(header::CONTENT_TYPE, HeaderValue::from_str(kind.as_ref()).ok()?);
    set.insert(header::VARY, HeaderValue::from_static("accept-encoding"));
    let lasting = if path.starts_with("assets/") { "public, max-age=31536000, immutable" } else { "no-cache" };
    set.insert(header::CACHE_CONTROL, HeaderValue::from_static(lasting));
    if path == WORKER {
        // A worker asks under the policy of its own answer.
        let policy = "default-src 'none'; script-src 'self'; connect-src 'self'";
        set.insert(header::CONTENT_SECURITY_POLICY, HeaderValue::from_static(policy));
    }
    if let Some(coding) = coding {
        set.insert(header::CONTENT_ENCODING, HeaderValue::from_static(coding));
    }
    Some(response)
}

/// The page, with a content security policy that allows only styles with this answer's nonce.
fn page(school: &str) -> Result<Response, ApiError> {
    let Some(found) = Web::get("index.html") else {
        let words = "The front end is not built yet. Run: make demo";
        return Ok((StatusCode::SERVICE_UNAVAILABLE, words).into_response());
    };
    let nonce = random_token()?;
    let html = String::from_utf8_lossy(&found.data).replace(NONCE, &nonce);
    let html = html.replace(SCHOOL, school).replace(MANIFEST, &format!("\"{school}/manifest.webmanifest\""));
    let policy = format!(
        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{nonce}'; img-src 'self' data:; font-src 'self'; \
         connect-src 'self'; manifest-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    );
    let policy = HeaderValue::from_str(&policy).map_err(|error| ApiError::Internal(error.to_string()))?;
    let headers = [
        (header::CONTENT_TYPE, HeaderValue::from_static("text/html; charset=utf-8")),
        (header::CACHE_CONTROL, HeaderValue::from_static("no-store")),
        (header::CONTENT_SECURITY_POLICY, policy),
    ];
    Ok((headers, html).into_response())
}
