//! The made-up school, looked at beside a school's own: in its own folder, by the browsers that ask for it.

use std::error::Error;
use std::fmt;
use std::sync::Arc;

use axum::Router;
use axum::extract::Request;
use axum::http::header;
use axum::response::{IntoResponse, Response};
use tokio::sync::OnceCell;
use tower::ServiceExt;

use crate::auth::passphrase_hash;
use crate::error::ApiError;
use crate::router::school;
use crate::state::AppState;

/// Path of the route that opens and leaves it, which is the own school's whatever is looked at.
pub(crate) const MADE_UP_PATH: &str = "/api/made-up";

/// Cookie of a browser that looks at it.
const COOKIE: &str = "yard-notch-school=made-up";

/// `Set-Cookie` of a browser that opens it.
pub(crate) const LOOK: &str = "yard-notch-school=made-up; Path=/; HttpOnly; SameSite=Strict";

/// `Set-Cookie` of a browser that leaves it.
pub(crate) const LEAVE: &str = "yard-notch-school=; Path=/; HttpOnly; SameSite=Strict; Max-Age=0";

/// What opens it fails with.
type Failure = Box<dyn Error + Send + Sync>;

/// The made-up school beside a school's own: built when it is first looked at, then kept open.
#[derive(Clone)]
pub struct MadeUp {
    open: Arc<dyn Fn() -> Result<AppState, Failure> + Send + Sync>,
    opened: Arc<OnceCell<Router>>,
}

impl fmt::Debug for MadeUp {
    fn fmt(&self, formatter: &mut fmt::Formatter<'_>) -> fmt::Result {
        formatter.debug_struct("MadeUp").field("opened", &self.opened.initialized()).finish_non_exhaustive()
    }
}

impl MadeUp {
    /// With what opens it: a state of its own, on a folder of its own.
    pub fn new(open: impl Fn() -> Result<AppState, Failure> + Send + Sync + 'static) -> Self {
        MadeUp { open: Arc::new(open), opened: Arc::default() }
    }

    /// Its routes; opened now if nobody has looked at it yet.
    pub(crate) async fn router(&self) -> Result<Router, ApiError> {
        let open = self.open.clone();
        let made = || async move {
            let opened = tokio::task::spawn_blocking(move || open()).await;
            let state = opened.map_err(|error| ApiError::Internal(error.to_string()))?;
            Ok(school(state.map_err(|error| ApiError::Internal(format!("the made-up school: {error}")))?))
        };
        self.opened.get_or_try_init(made).await.cloned()
    }
}

/// Sends a browser that looks at the made-up school there; it may look where it may see the own one.
pub(crate) async fn which_school(state: AppState, own: Router, request: Request) -> Response {
    let cookies = request.headers().get_all(header::COOKIE).iter().filter_map(|value| value.to_str().ok());
    let looks = cookies.flat_map(|value| value.split(';')).any(|cookie| cookie.trim() == COOKIE);
    let Some(made_up) = state.settings.made_up.as_ref().filter(|_| looks && request.uri().path() != MADE_UP_PATH) else {
        return own.oneshot(request).await.into_response();
    };
    match passphrase_hash(&state).await {
        Ok(Some(hash)) if !state.sign_ins.is_signed_in(request.headers(), &hash) => {
            return own.oneshot(request).await.into_response();
        }
        Ok(_) => {}
        Err(error) => return error.into_response(),
    }
    match made_up.router().await {
        Ok(router) => router.oneshot(request).await.into_response(),
        Err(error) => error.into_response(),
    }
}
