//! Changes as they are made, for every page that is open.

use std::convert::Infallible;
use std::time::Duration;

use axum::http::HeaderMap;
use axum::response::sse::{Event, KeepAlive, Sse};
use futures_util::stream::{Stream, unfold};

use crate::auth::{standing, who_asks};
use crate::let_in::School;
use crate::live::{Listener, LiveChange};
use crate::state::AppState;

/// How often it is looked whether the page may still be told.
const LOOK: Duration = Duration::from_secs(15);

/// How often a line is sent that says nothing, so that nobody on the way takes the connection for a dead one.
const ALIVE: Duration = Duration::from_secs(10);

/// A page that is told.
struct Page {
    state: AppState,
    headers: HeaderMap,
    listener: Listener,
    greeted: bool,
    look: tokio::time::Interval,
}

/// Tells of each change once it is kept, as server-sent events of one line of JSON. The first one has no subject: what
/// was read before it may be old. It ends when the school is closed or the page's session is.
#[utoipa::path(get, operation_id = "live", path = "/api/live", tag = "live",
    responses((status = 200, body = LiveChange, content_type = "text/event-stream")))]
pub(crate) async fn changes(School(state): School, headers: HeaderMap) -> Sse<impl Stream<Item = Result<Event, Infallible>>> {
    let listener = state.live.listen();
    let look = tokio::time::interval_at(tokio::time::Instant::now() + LOOK, LOOK);
    let page = Page { state, headers, listener, greeted: false, look };
    let stream = unfold(page, |mut page| async {
        let change = page.next().await?;
        let event = Event::default().json_data(change).unwrap_or_default();
        Some((Ok(event), page))
    });
    Sse::new(stream).keep_alive(KeepAlive::new().interval(ALIVE))
}

impl Page {
    async fn next(&mut self) -> Option<LiveChange> {
        if !self.greeted {
            self.greeted = true;
            return Some(LiveChange { subject: None, touch: None });
        }
        loop {
            tokio::select! {
                told = self.listener.next() => return told,
                _ = self.look.tick() => {
                    let standing = standing(&self.state, &self.headers).await.ok()?;
                    who_asks(&standing, &self.headers)?;
                }
            }
        }
    }
}
