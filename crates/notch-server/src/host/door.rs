//! The door of one school: whoever is let in finds that school's records and no others.

use std::sync::atomic::{AtomicU64, Ordering};
use std::sync::{Arc, Mutex, OnceLock, PoisonError};
use std::time::{Duration, Instant, SystemTime};

use axum::Router;
use axum::extract::Request;
use axum::response::{IntoResponse, Response};
use notch_core::school::{Allowance, SchoolCard, SchoolName};
use notch_store::{Schools, Store, StoreError};
use tokio::task::JoinHandle;
use tower::ServiceExt;

use crate::Settings;
use crate::clock::Clock;
use crate::copying::make_if_due;
use crate::error::ApiError;
use crate::resting::rest_when_idle;
use crate::secure::Reach;
use crate::state::{AppState, InCommon};
use crate::turns::blocking;

use super::under::UNDER;

/// How long the last of what was begun is waited for when a door is closed.
const LAST: Duration = Duration::from_secs(30);

/// So long a request waits where its school has asked for all that it is given, before it is refused.
const PATIENCE_MS: u64 = 2_000;

/// The one way to the records of a school: it alone has opened them, and what it hands a request to can reach no
/// others. Made by [`Door::open`] alone, from the school's name; no request comes to a school's records but through its
/// door.
pub(super) struct Door {
    state: AppState,
    resting: JoinHandle<()>,
    card: SchoolCard,
    card_changed: Option<SystemTime>,
    allowance: Mutex<Allowance>,
    opened: Instant,
    /// When somebody last asked, milliseconds after it was opened.
    asked: AtomicU64,
    /// Nothing is held in memory to be quick.
    small: Mutex<bool>,
    damage: OnceLock<String>,
}

impl Door {
    /// Opens a school; no other server may have it open.
    pub(super) fn open(schools: &Schools, name: &SchoolName, common: &InCommon, reach: &Reach) -> Result<Door, StoreError> {
        let card_changed = schools.card_changed(name);
        let card = schools.card(name)?;
        let store = Store::open_served(&schools.data(name))?;
        let path = if card.hosts.is_empty() { format!("{}{name}", UNDER) } else { String::new() };
        let reach = Reach { of_many: true, path, ..reach.clone() };
        let settings = Settings { demo: false, beside_own: false, made_up: None, reach, clock: Clock::System };
        let state = AppState::of_host(common, store, settings, card.limits.most_bytes);
        let resting = tokio::spawn(rest_when_idle(state.store.clone(), state.written.clone()));
        state.written.notify_one();
        Ok(Door {
            state,
            resting,
            allowance: Mutex::new(Allowance::full(card.limits, 0)),
            card,
            card_changed,
            opened: Instant::now(),
            asked: AtomicU64::new(0),
            small: Mutex::new(true),
            damage: OnceLock::new(),
        })
    }

    /// Lets a request in, as far as the host gives the school so much.
    pub(super) async fn let_in(&self, routes: &Router, mut request: Request) -> Response {
        if let Some(why) = self.damage.get() {
            tracing::error!(why, "asked of a damaged school");
            return ApiError::Busy("The file of this school is damaged. Who runs the host restores it from a copy.")
                .into_response();
        }
        let now = self.now();
        self.asked.store(now, Ordering::Relaxed);
        *self.small.lock().unwrap_or_else(PoisonError::into_inner) = false;
        while !self.allowance.lock().unwrap_or_else(PoisonError::into_inner).take(self.card.limits, self.now()) {
            if self.now() - now > PATIENCE_MS {
                return ApiError::TooMuchAsked.into_response();
            }
            tokio::time::sleep(Duration::from_millis(50)).await;
        }
        request.extensions_mut().insert(self.state.clone());
        routes.clone().oneshot(request).await.into_response()
    }

    /// Whether the host says something else of it now.
    pub(super) fn is_outdated(&self, schools: &Schools, name: &SchoolName) -> bool {
        schools.card_changed(name) != self.card_changed
    }

    /// Whether a page of it is open.
    pub(super) fn is_heard(&self) -> bool {
        self.state.live.is_heard()
    }

    /// Sends every open page away.
    pub(super) fn end_live(&self) {
        self.state.live.end();
    }

    /// For how long nobody has asked.
    pub(super) fn idle(&self) -> Duration {
        Duration::from_millis(self.now().saturating_sub(self.asked.load(Ordering::Relaxed)))
    }

    fn now(&self) -> u64 {
        u64::try_from(self.opened.elapsed().as_millis()).unwrap_or(u64::MAX)
    }

    /// Lets go of what is held in memory to be quick, unless it has.
    pub(super) fn be_small(&self) {
        let mut small = self.small.lock().unwrap_or_else(PoisonError::into_inner);
        if !*small {
            self.state.be_small();
            *small = true;
        }
    }

    /// Makes a copy of the school where one is due.
    pub(super) async fn copy_if_due(&self) -> Result<(), ApiError> {
        let (store, copying) = (self.state.store.clone(), self.state.copying.clone());
        blocking(move || Ok(make_if_due(&copying, &store)?)).await
    }

    /// Why the last try made no copy.
    pub(super) fn copy_failed(&self) -> Option<String> {
        self.state.copying.failed()
    }

    /// Looks for damage in a file that was too large to be looked at when it was opened; nobody is let in to a damaged
    /// one any more.
    pub(super) async fn look_for_damage(&self) {
        let store = self.state.store.clone();
        let found = blocking(move || Ok(store.look_for_damage())).await;
        if let Ok(Err(damage @ StoreError::Corrupt { .. })) = found {
            let _ = self.damage.set(damage.to_string());
        }
    }

    /// What is wrong with its file.
    pub(super) fn damage(&self) -> Option<&str> {
        self.damage.get().map(String::as_str)
    }

    /// Ends what goes on behind it and closes the file, which then is all of the school; another server may open it
    /// then.
    pub(super) async fn close(self) {
        let Door { state, resting, .. } = self;
        state.live.end();
        resting.abort();
        let _ = resting.await;
        let store = state.store.clone();
        drop(state);
        let began = Instant::now();
        // What is still at work for somebody who went away.
        while Arc::strong_count(&store) > 1 && began.elapsed() < LAST {
            tokio::time::sleep(Duration::from_millis(2)).await;
        }
        let _ = blocking(move || {
            drop(store);
            Ok(())
        })
        .await;
    }
}
