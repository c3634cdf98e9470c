//! The made-up school, looked at beside a school's own: in its own folder, by the browsers that ask for it.

use std::error::Error;
use std::fmt;
use std::sync::Arc;

use axum::Router;
use axum::http::{HeaderMap, header};
use tokio::sync::OnceCell;

use crate::error::ApiError;

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
    open: Arc<dyn Fn() -> Result<Router, Failure> + Send + Sync>,
    opened: Arc<OnceCell<Router>>,
}

impl fmt::Debug for MadeUp {
    fn fmt(&self, formatter: &mut fmt::Formatter<'_>) -> fmt::Result {
        formatter.debug_struct("MadeUp").field("opened", &self.opened.initialized()).finish_non_exhaustive()
    }
}

impl MadeUp {
    /// With what opens it: a router of its own, on a folder of its own.
    pub fn new(open: impl Fn() -> Result<Router, Failure> + Send + Sync + 'static) -> Self {
        MadeUp { open: Arc::new(open), opened: Arc::default() }
    }

    /// Its routes; opened now if nobody has looked at it yet.
    pub(crate) async fn router(&self) -> Result<Router, ApiError> {
        let open = self.open.clone();
        let made = || async move {
            let opened = tokio::task::spawn_blocking(move || open()).await;
            let router = opened.map_err(|error| ApiError::Internal(error.to_string()))?;
            router.map_err(|error| ApiError::Internal(format!("the made-up school: {error}")))
        };
        self.opened.get_or_try_init(made).await.cloned()
    }
}

/// Whether a browser looks at it.
pub(crate) fn looks_there(headers: &HeaderMap) -> bool {
    let cookies = headers.get_all(header::COOKIE).iter().filter_map(|value| value.to_str().ok());
    cookies.flat_map(|value| value.split(';')).any(|cookie| cookie.trim() == COOKIE)
}
