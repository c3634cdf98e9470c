//! Signing in and out, and taking an invitation.

use std::net::SocketAddr;

use axum::Extension;
use axum::Json;
use axum::extract::{ConnectInfo, Path};
use axum::http::{HeaderMap, HeaderName, StatusCode, header};
use axum::response::{AppendHeaders, IntoResponse};
use jiff::{SignedDuration, Timestamp};
use notch_core::staff::Role;
use notch_store::NewSession;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::auth::{Standing, standing};
use crate::error::ApiError;
use crate::extract::Body;
use crate::let_in::School;
use crate::passphrase::{Caller, LASTS, no_session_cookie, session_cookie};
use crate::secret::{random_token, sha256};
use crate::state::AppState;

/// What signs somebody in.
#[derive(Deserialize, ToSchema)]
pub(crate) struct SignIn {
    /// The name; may be left out while only one person signs in.
    #[serde(default)]
    name: Option<String>,
    /// The passphrase.
    passphrase: String,
}

/// What an answer that signs in sets.
pub(super) type Cookies<const N: usize> = AppendHeaders<[(HeaderName, String); N]>;

/// Where a request comes from, as far as the connection tells.
pub(super) type Connection = Option<Extension<ConnectInfo<SocketAddr>>>;

pub(super) fn caller(headers: &HeaderMap, connection: Connection) -> Caller {
    Caller::of(headers, connection.map(|Extension(ConnectInfo(address))| address.ip()))
}

/// A session of somebody on the browser with these headers, about to begin, and the cookie for it.
pub(super) fn new_session(state: &AppState, headers: &HeaderMap) -> Result<(NewSession, String), ApiError> {
    let (token, at) = (random_token()?, Timestamp::now());
    let until = at.saturating_add(SignedDuration::try_from(LASTS).unwrap_or(SignedDuration::ZERO));
    let until = until.map_err(|error| ApiError::Internal(error.to_string()))?;
    let agent = headers.get(header::USER_AGENT).and_then(|agent| agent.to_str().ok()).unwrap_or("");
    Ok((
        NewSession { token_sha256: sha256(&token), device: device(agent), at, until },
        session_cookie(&token, &state.settings.reach),
    ))
}

/// A device in words, from what its browser says of itself.
fn device(agent: &str) -> String {
    let first = |known: &[(&str, &'static str)], otherwise: &'static str| {
        known.iter().find(|(mark, _)| agent.contains(mark)).map_or(otherwise, |(_, words)| *words)
    };
    let browser = first(
        &[("Edg/", "Edge"), ("OPR/", "Opera"), ("Firefox/", "Firefox"), ("Chrome/", "Chrome"), ("Safari/", "Safari")],
        "A browser",
    );
    let system = first(
        &[
            ("iPad", "iPad"),
            ("iPhone", "iPhone"),
            ("Android", "Android"),
            ("CrOS", "ChromeOS"),
            ("Windows", "Windows"),
            ("Macintosh", "Mac"),
            ("Linux", "Linux"),
        ],
        "unknown device",
    );
    format!("{browser}, {system}")
}

/// Signs this browser in. Tries of one caller stand in line, and wait longer after each wrong one.
#[utoipa::path(post, operation_id = "sign_in", path = "/api/sign-in", tag = "sign-in", request_body = SignIn,
    responses((status = 204)))]
pub(crate) async fn sign_in(
    School(state): School,
    connection: Connection,
    headers: HeaderMap,
    Body(body): Body<SignIn>,
) -> Result<(StatusCode, Cookies<2>), ApiError> {
    if matches!(standing(&state, &headers).await?, Standing::Open) {
        return Err(ApiError::Conflict("nobody has a passphrase here, so there is nothing to sign in to".to_owned()));
    }
    let found = state.read_records(move |reader| Ok(reader.passphrase_of(body.name.as_deref())?)).await?;
    let (id, hash) = found.unzip();
    let known = state.sign_ins.check(caller(&headers, connection), body.passphrase, hash.clone(), &state.settings.reach).await?;
    let (session, cookie) = new_session(&state, &headers)?;
    state
        .write_access(move |writer| {
            // The passphrase that was checked must be the one that holds now.
            let id = id.filter(|id| writer.passphrase_is(*id, hash.as_deref()).unwrap_or(false));
            writer.begin_session(id.ok_or(ApiError::WrongPassphrase)?, &session)?;
            Ok(())
        })
        .await?;
    Ok((StatusCode::NO_CONTENT, AppendHeaders([cookie, known].map(|cookie| (header::SET_COOKIE, cookie)))))
}

/// Signs this browser out.
#[utoipa::path(delete, operation_id = "sign_out", path = "/api/sign-in", tag = "sign-in", responses((status = 204)))]
pub(crate) async fn sign_out(School(state): School, headers: HeaderMap) -> Result<impl IntoResponse, ApiError> {
    if let Standing::In(session) = standing(&state, &headers).await? {
        state.write_access(move |writer| Ok(writer.end_session(session.id)?)).await?;
    }
    Ok((StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, no_session_cookie(&state.settings.reach))])))
}

/// Who is invited.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Invited {
    /// The name to sign in with.
    name: String,
    /// What may be changed.
    role: Role,
}

fn used() -> ApiError {
    ApiError::NotFound("this link was used, or it has run out. Ask an instructor of the school for a new one.".to_owned())
}

/// Whom an invitation is for.
#[utoipa::path(get, operation_id = "invited", path = "/api/join/{secret}", tag = "sign-in", params(("secret" = String, Path)),
    responses((status = 200, body = Invited)))]
pub(crate) async fn invited(School(state): School, Path(secret): Path<String>) -> Result<Json<Invited>, ApiError> {
    let (secret, now) = (sha256(&secret), Timestamp::now());
    let found = state.read_records(move |reader| Ok(reader.invited(&secret, now)?)).await?;
    found.map(|member| Json(Invited { name: member.name, role: member.role })).ok_or_else(used)
}

/// What an invitation is taken with.
#[derive(Deserialize, ToSchema)]
pub(crate) struct Join {
    /// The passphrase from now on, 10 to 200 characters.
    passphrase: String,
}

/// Takes an invitation, once: the passphrase is chosen and this browser signed in.
#[utoipa::path(post, operation_id = "join", path = "/api/join/{secret}", tag = "sign-in", params(("secret" = String, Path)), request_body = Join,
    responses((status = 204)))]
pub(crate) async fn join(
    School(state): School,
    Path(secret): Path<String>,
    headers: HeaderMap,
    Body(body): Body<Join>,
) -> Result<(StatusCode, Cookies<1>), ApiError> {
    let (secret, now) = (sha256(&secret), Timestamp::now());
    // Hashing is costly: not for a link that is none.
    let wanted = secret.clone();
    state.read_records(move |reader| Ok(reader.invited(&wanted, now)?)).await?.ok_or_else(used)?;
    let hash = state.sign_ins.hash(body.passphrase).await?;
    let (session, cookie) = new_session(&state, &headers)?;
    state
        .write_access(move |writer| {
            let member = writer.invited(&secret, now)?.ok_or_else(used)?;
            writer.set_passphrase(member.id, &hash)?;
            Ok(writer.begin_session(member.id, &session)?)
        })
        .await?;
    Ok((StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, cookie)])))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_device_is_told_in_words() {
        let tablet = "Mozilla/5.0 (Linux; Android 14; Tablet) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/120.0 Safari/537.36";
        assert_eq!(device(tablet), "Chrome, Android");
        assert_eq!(device("Mozilla/5.0 (iPad; CPU OS 17_0) AppleWebKit/605 Version/17.0 Safari/604"), "Safari, iPad");
        assert_eq!(device("curl/8"), "A browser, unknown device");
    }
}
