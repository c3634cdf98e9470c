//! Who works here, who is signed in, and who changed what.

use axum::Json;
use axum::http::{HeaderMap, StatusCode, header};
use axum::response::AppendHeaders;
use jiff::{SignedDuration, Timestamp};
use notch_core::staff::{Role, StaffFields, StaffMember, check_name};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::sign_in::{Connection, Cookies, caller, new_session};
use super::{Archive, Change};
use crate::auth::{Standing, standing};
use crate::deeds;
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
use crate::let_in::School;
use crate::passphrase::{check_passphrase, name_cookie};
use crate::secret::{random_token, sha256};
use crate::who::Who;

/// How long an invitation can be taken.
const INVITED_FOR: SignedDuration = SignedDuration::from_hours(7 * 24);

/// Changes that are told at once.
const CHANGES: u32 = 50;

/// A browser that is signed in.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct SignedIn {
    /// Id.
    id: i64,
    /// Whose.
    staff_id: i64,
    /// The name.
    name: String,
    /// The device, as its browser calls it.
    device: String,
    /// When it signed in.
    #[schema(value_type = String, format = DateTime)]
    begun_at: Timestamp,
    /// When it was last heard of, if it was since the program began.
    #[schema(value_type = Option<String>, format = DateTime)]
    seen_at: Option<Timestamp>,
    /// It is the one that asks.
    this: bool,
}

/// Who works here.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct StaffView {
    /// Somebody has a passphrase, so that all sign in.
    signs_in: bool,
    /// Everybody who works or worked here, those who do first.
    people: Vec<StaffMember>,
    /// Browsers that are signed in: all of them for an instructor, the own ones for an assistant.
    sessions: Vec<SignedIn>,
}

/// Who works here, and which browsers are signed in.
#[utoipa::path(get, operation_id = "staff_show", path = "/api/staff", tag = "staff", responses((status = 200, body = StaffView)))]
pub(crate) async fn show(School(state): School, who: Who) -> Result<Json<StaffView>, ApiError> {
    let seen = state.seen.clone();
    state
        .read_records(move |reader| {
            let sessions = reader.staff_sessions(Timestamp::now())?.into_iter();
            let told = sessions.filter(|session| who.role == Role::Instructor || Some(session.member.id) == who.staff_id).map(
                |session| SignedIn {
                    id: session.id,
                    staff_id: session.member.id,
                    name: session.member.name,
                    device: session.device,
                    begun_at: session.begun_at,
                    seen_at: seen.last(session.id),
                    this: Some(session.id) == who.session_id,
                },
            );
            let sessions = told.collect();
            Ok(Json(StaffView { signs_in: reader.people_who_sign_in()? > 0, people: reader.staff()?, sessions }))
        })
        .await
}

/// Adds somebody who works here. To sign in, that person needs an invitation.
#[utoipa::path(post, operation_id = "staff_add", path = "/api/staff", tag = "staff", request_body = StaffFields,
    responses((status = 201, body = StaffMember)))]
pub(crate) async fn add(
    School(state): School,
    write: DeviceWrite,
    Body(fields): Body<StaffFields>,
) -> Result<(StatusCode, Json<StaffMember>), ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                ApiError::unless_empty(fields.check())?;
                Ok(writer.add_staff(&fields)?.id)
            },
            |reader, _, id| Ok((StatusCode::CREATED, Json(reader.staff_member(id)?))),
        )
        .await
}

/// Changes name or role of somebody who works here.
#[utoipa::path(put, operation_id = "staff_change", path = "/api/staff/{id}", tag = "staff", params(("id" = i64, Path)), request_body = Change<StaffFields>,
    responses((status = 200, body = StaffMember)))]
pub(crate) async fn change(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<StaffFields>>,
) -> Result<Json<StaffMember>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                ApiError::unless_empty(change.fields.check())?;
                Ok(writer.change_staff(id, change.version, &change.fields)?.id)
            },
            |reader, _, id| Ok(Json(reader.staff_member(id)?)),
        )
        .await
}

/// Says that somebody no longer works here, and signs that person out everywhere; or that somebody does again.
#[utoipa::path(post, operation_id = "staff_archive", path = "/api/staff/{id}/archive", tag = "staff", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = StaffMember)))]
pub(crate) async fn archive(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<Archive>,
) -> Result<Json<StaffMember>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| Ok(writer.archive_staff(id, body.version, body.archived)?.id),
            |reader, _, id| Ok(Json(reader.staff_member(id)?)),
        )
        .await
}

/// A link by which somebody chooses a passphrase, once.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Invitation {
    /// Path of the link; it is told this once and kept nowhere.
    path: String,
    /// Until when it can be taken.
    #[schema(value_type = String, format = DateTime)]
    until: Timestamp,
}

/// A link by which somebody chooses a passphrase, about to be kept.
#[derive(Debug)]
pub struct NewInvitation {
    /// Path of the link in the school, with its secret.
    pub path: String,
    /// What is kept of the secret.
    pub kept: String,
    /// Until when it can be taken.
    pub until: Timestamp,
}

/// Makes a link by which somebody chooses a passphrase; it counts once it is kept.
///
/// # Errors
/// The machine has no random figures.
pub fn new_invitation() -> Result<NewInvitation, ApiError> {
    let secret = random_token()?;
    let until = Timestamp::now().saturating_add(INVITED_FOR).map_err(|error| ApiError::Internal(error.to_string()))?;
    Ok(NewInvitation { path: format!("/join/{secret}"), kept: sha256(&secret), until })
}

/// Makes a link by which somebody chooses a passphrase, for the first time or anew; an earlier link counts no longer.
#[utoipa::path(post, operation_id = "staff_invite", path = "/api/staff/{id}/invitation", tag = "staff", params(("id" = i64, Path)),
    responses((status = 201, body = Invitation)))]
pub(crate) async fn invite(School(state): School, Id(id): Id) -> Result<(StatusCode, Json<Invitation>), ApiError> {
    let NewInvitation { path, kept, until } = new_invitation()?;
    state
        .write_access(move |writer| {
            if writer.people_who_sign_in()? == 0 {
                let first = "nobody signs in here yet: first choose a passphrase for yourself, or you would be shut out";
                return Err(ApiError::Conflict(first.to_owned()));
            }
            Ok(writer.invite(id, &kept, until)?)
        })
        .await?;
    Ok((StatusCode::CREATED, Json(Invitation { path, until })))
}

/// The first who signs in here.
#[derive(Deserialize, ToSchema)]
pub(crate) struct FirstSignIn {
    /// Name of the instructor.
    name: String,
    /// Passphrase, 10 to 200 characters.
    passphrase: String,
}

/// Where nobody signs in: from now on everybody does, this instructor first.
#[utoipa::path(post, operation_id = "staff_begin", path = "/api/staff/first", tag = "staff", request_body = FirstSignIn,
    responses((status = 204)))]
pub(crate) async fn begin(
    School(state): School,
    headers: HeaderMap,
    Body(body): Body<FirstSignIn>,
) -> Result<(StatusCode, Cookies<1>), ApiError> {
    ApiError::unless_empty(check_name(&body.name).into_iter().chain(check_passphrase(&body.passphrase)).collect())?;
    let begun = || ApiError::Conflict("somebody signs in here already: ask for an invitation".to_owned());
    if !matches!(standing(&state, &headers).await?, Standing::Open) {
        return Err(begun());
    }
    let hash = state.sign_ins.hash(body.passphrase).await?;
    let (session, cookie) = new_session(&state, &headers)?;
    state
        .write_access(move |writer| {
            if writer.people_who_sign_in()? > 0 {
                return Err(begun());
            }
            let id = writer.instructor_named(&body.name)?.id;
            writer.set_passphrase(id, &hash)?;
            Ok(writer.begin_session(id, &session)?)
        })
        .await?;
    Ok((StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, cookie)])))
}

/// Signs a browser out: one's own, or anybody's as an instructor.
#[utoipa::path(delete, operation_id = "session_end", path = "/api/sessions/{id}", tag = "staff", params(("id" = i64, Path)),
    responses((status = 204)))]
pub(crate) async fn end_session(School(state): School, who: Who, Id(id): Id) -> Result<StatusCode, ApiError> {
    state
        .write_access(move |writer| {
            let mut sessions = writer.staff_sessions(Timestamp::now())?.into_iter();
            let whose = sessions.find(|session| session.id == id).map(|session| session.member.id);
            if whose.is_some() && whose != who.staff_id && who.role != Role::Instructor {
                return Err(ApiError::Forbidden("Only an instructor signs other people out."));
            }
            Ok(writer.end_session(id)?)
        })
        .await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Another passphrase of one's own.
#[derive(Deserialize, ToSchema)]
pub(crate) struct NewPassphrase {
    /// The one that holds now.
    current: String,
    /// The one from now on, 10 to 200 characters.
    passphrase: String,
}

/// Changes one's own passphrase; other browsers that were signed in with the old one no longer are.
#[utoipa::path(put, operation_id = "passphrase_change", path = "/api/me/passphrase", tag = "staff", request_body = NewPassphrase,
    responses((status = 204)))]
pub(crate) async fn change_passphrase(
    School(state): School,
    who: Who,
    connection: Connection,
    headers: HeaderMap,
    Body(body): Body<NewPassphrase>,
) -> Result<(StatusCode, Cookies<1>), ApiError> {
    let Some(id) = who.staff_id else {
        return Err(ApiError::Conflict("nobody signs in here, so there is no passphrase to change".to_owned()));
    };
    let name = who.name.clone();
    let hash = state.read_records(move |reader| Ok(reader.passphrase_of(Some(&name))?)).await?.map(|(_, hash)| hash);
    let checked = state.sign_ins.check(caller(&headers, connection), body.current, hash, &state.settings.reach).await;
    checked.map_err(|error| match error {
        ApiError::WrongPassphrase => ApiError::Fields(vec![notch_core::Problem::new(
            "/current",
            "Passphrase now",
            "",
            "that holds now was given",
            "the passphrase that you signed in with",
        )]),
        other => other,
    })?;
    let hash = state.sign_ins.hash(body.passphrase).await?;
    let (session, cookie) = new_session(&state, &headers)?;
    state
        .write_access(move |writer| {
            writer.set_passphrase(id, &hash)?;
            Ok(writer.begin_session(id, &session)?)
        })
        .await?;
    Ok((StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, cookie)])))
}

/// A name on a device where nobody signs in.
#[derive(Deserialize, ToSchema)]
pub(crate) struct NameHere {
    /// The name, 1 to 60 characters.
    name: String,
}

/// Says who is at this device, where nobody signs in: what is changed from it is noted under that name.
#[utoipa::path(put, operation_id = "name_here", path = "/api/me/name", tag = "staff", request_body = NameHere, responses((status = 204)))]
pub(crate) async fn choose_name(
    School(state): School,
    who: Who,
    Body(body): Body<NameHere>,
) -> Result<(StatusCode, Cookies<1>), ApiError> {
    if who.staff_id.is_some() {
        return Err(ApiError::Conflict("you are signed in under your own name".to_owned()));
    }
    ApiError::unless_empty(check_name(&body.name).into_iter().collect())?;
    Ok((StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, name_cookie(body.name.trim(), &state.settings.reach))])))
}

/// Which changes are asked for.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct ChangesAsked {
    /// Those before the change with this id.
    before: Option<i64>,
    /// Those of one person.
    by: Option<i64>,
}

/// A change that was made.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct ToldChange {
    /// Id.
    id: i64,
    /// When it happened.
    #[schema(value_type = String, format = DateTime)]
    at: Timestamp,
    /// Who; empty where no name was told.
    name: String,
    /// What was done, in words.
    words: String,
    /// What it was done to, as it was called then; may be empty.
    subject: String,
}

/// What was changed, the latest first.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct ChangesView {
    /// The changes.
    changes: Vec<ToldChange>,
    /// There are earlier ones.
    more: bool,
}

/// What was changed by whom, the latest first; it is kept for some 400 days.
#[utoipa::path(get, operation_id = "changes_show", path = "/api/changes", tag = "staff", params(ChangesAsked), responses((status = 200, body = ChangesView)))]
pub(crate) async fn changes(School(state): School, Asked(asked): Asked<ChangesAsked>) -> Result<Json<ChangesView>, ApiError> {
    state
        .read_records(move |reader| {
            let mut found = reader.changes_made(asked.before, asked.by, CHANGES + 1)?;
            let more = found.len() > CHANGES as usize;
            found.truncate(CHANGES as usize);
            let told = found.into_iter().map(|change| ToldChange {
                id: change.id,
                at: change.at,
                name: change.name,
                words: deeds::words(&change.deed).to_owned(),
                subject: change.subject,
            });
            Ok(Json(ChangesView { changes: told.collect(), more }))
        })
        .await
}
