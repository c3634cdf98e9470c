//! Who asks, and what they may do.

use axum::extract::Request;
use axum::http::HeaderMap;
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};
use jiff::Timestamp;
use notch_core::staff::Role;
use notch_store::StaffSession;

use crate::error::ApiError;
use crate::let_in::School;
use crate::passphrase::{name_on_device, session_token};
use crate::state::AppState;
use crate::who::Who;

/// How a browser stands to the school.
#[derive(Debug)]
pub(crate) enum Standing {
    /// Nobody signs in here.
    Open,
    /// Signed in.
    In(Box<StaffSession>),
    /// Must sign in first.
    Out {
        /// More than one person signs in here, so that a name is needed.
        names: bool,
    },
}

/// Who asks, where they may.
pub(crate) fn who_asks(standing: &Standing, headers: &HeaderMap) -> Option<Who> {
    match standing {
        Standing::Open => Some(Who {
            staff_id: None,
            session_id: None,
            name: name_on_device(headers).unwrap_or_default(),
            role: Role::Instructor,
        }),
        Standing::In(session) => Some(Who {
            staff_id: Some(session.member.id),
            session_id: Some(session.id),
            name: session.member.name.clone(),
            role: session.member.role,
        }),
        Standing::Out { .. } => None,
    }
}

/// How the browser with these headers stands; refused where passphrases were and are gone.
pub(crate) async fn standing(state: &AppState, headers: &HeaderMap) -> Result<Standing, ApiError> {
    let (token, now) = (session_token(headers), Timestamp::now());
    let (people, session) = state
        .read_records(move |reader| {
            let session = token.map(|token| reader.staff_session(&token, now)).transpose()?.flatten();
            Ok((reader.people_who_sign_in()?, session))
        })
        .await?;
    state.sign_ins.noted(people > 0)?;
    Ok(match (people, session) {
        (0, _) if !state.settings.reach.of_many => Standing::Open,
        (_, Some(session)) => {
            state.seen.note(session.id, now);
            Standing::In(Box::new(session))
        }
        (people, None) => Standing::Out { names: people > 1 },
    })
}

/// Lets a request through if nobody signs in here, or if its browser is signed in; who asks is told to the handler.
pub(crate) async fn require_sign_in(School(state): School, mut request: Request, next: Next) -> Response {
    match standing(&state, request.headers()).await {
        Ok(standing) => match who_asks(&standing, request.headers()) {
            Some(who) => {
                request.extensions_mut().insert(who);
                next.run(request).await
            }
            None => ApiError::SignInNeeded.into_response(),
        },
        Err(error) => error.into_response(),
    }
}

/// Lets an instructor through.
pub(crate) async fn require_instructor(who: Who, request: Request, next: Next) -> Response {
    match who.role {
        Role::Instructor => next.run(request).await,
        Role::Assistant => ApiError::Forbidden(
            "Only an instructor changes this. As an assistant you write down marks, measured pieces, counts, ticks and care.",
        )
        .into_response(),
    }
}
