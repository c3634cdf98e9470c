//! What this program is.

use axum::Json;
use axum::http::HeaderMap;
use jiff::Timestamp;
use notch_core::staff::Role;
use serde::Serialize;
use utoipa::ToSchema;

use crate::auth::{Standing, standing, who_asks};
use crate::error::ApiError;
use crate::let_in::School;

/// What this program is, and how the asking browser stands to it.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct About {
    /// Version of the program.
    version: String,
    /// Licence of our own code.
    licence: String,
    /// The made-up school is shown.
    demo: bool,
    /// It is looked at beside the school's own, and can be left.
    beside_own: bool,
    /// The made-up school can be looked at from here.
    made_up: bool,
    /// The present moment by the program's clock.
    #[schema(value_type = String, format = DateTime)]
    now: Timestamp,
    /// Time zone of this machine, by name.
    time_zone: String,
    /// It is reached over TLS, or by this machine alone: the page may keep itself for when there is no network.
    secure: bool,
    /// It listens to this machine only.
    loopback: bool,
    /// This browser may use the program.
    signed_in: bool,
    /// Signing in needs a name too: more than one person does.
    names: bool,
    /// Who uses it, where the browser may.
    who: Option<WhoIsHere>,
}

/// Who uses this browser.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct WhoIsHere {
    /// Id, if signed in; otherwise nobody signs in here.
    staff_id: Option<i64>,
    /// Name; empty while none was chosen on a device where nobody signs in.
    name: String,
    /// What may be changed.
    role: Role,
}

/// Version, licence, clock, and whether this browser must sign in.
#[utoipa::path(get, operation_id = "about", path = "/api/about", tag = "about", responses((status = 200, body = About)))]
pub(crate) async fn about(School(state): School, headers: HeaderMap) -> Result<Json<About>, ApiError> {
    let standing = standing(&state, &headers).await?;
    let who = who_asks(&standing, &headers);
    Ok(Json(About {
        version: env!("CARGO_PKG_VERSION").to_owned(),
        licence: env!("CARGO_PKG_LICENSE").to_owned(),
        demo: state.settings.demo,
        beside_own: state.settings.beside_own,
        made_up: state.settings.made_up.is_some(),
        now: state.settings.clock.now(),
        time_zone: notch_store::machine_zone(),
        secure: state.settings.reach.is_secure() || state.settings.reach.is_loopback(),
        loopback: state.settings.reach.is_loopback(),
        signed_in: who.is_some(),
        names: matches!(standing, Standing::Out { names: true }),
        who: who.map(|who| WhoIsHere { staff_id: who.staff_id, name: who.name, role: who.role }),
    }))
}
