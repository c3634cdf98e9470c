//! Signing in and out.

use std::net::SocketAddr;

use axum::Extension;
use axum::extract::{ConnectInfo, State};
use axum::http::{HeaderMap, StatusCode, header};
use axum::response::{AppendHeaders, IntoResponse};
use serde::Deserialize;
use utoipa::ToSchema;

use crate::auth::passphrase_hash;
use crate::error::ApiError;
use crate::extract::Body;
use crate::passphrase::Caller;
use crate::state::AppState;

/// What signs an instructor in.
#[derive(Deserialize, ToSchema)]
pub(crate) struct SignIn {
    /// The school's passphrase.
    passphrase: String,
}

/// Signs this browser in. Tries of one caller stand in line, and wait longer after each wrong one.
#[utoipa::path(post, operation_id = "sign_in", path = "/api/sign-in", tag = "sign-in", request_body = SignIn,
    responses((status = 204)))]
pub(crate) async fn sign_in(
    State(state): State<AppState>,
    connection: Option<Extension<ConnectInfo<SocketAddr>>>,
    headers: HeaderMap,
    Body(body): Body<SignIn>,
) -> Result<impl IntoResponse, ApiError> {
    let Some(hash) = passphrase_hash(&state).await? else {
        return Err(ApiError::Conflict("no passphrase was set, so there is nothing to sign in to".to_owned()));
    };
    let caller = Caller::of(&headers, connection.map(|Extension(ConnectInfo(address))| address.ip()));
    let cookies = state.sign_ins.sign_in(caller, body.passphrase, hash).await?;
    Ok((StatusCode::NO_CONTENT, AppendHeaders(cookies.map(|cookie| (header::SET_COOKIE, cookie)))))
}

/// Signs this browser out.
#[utoipa::path(delete, operation_id = "sign_out", path = "/api/sign-in", tag = "sign-in", responses((status = 204)))]
pub(crate) async fn sign_out(State(state): State<AppState>, headers: HeaderMap) -> impl IntoResponse {
    (StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, state.sign_ins.sign_out(&headers))]))
}
