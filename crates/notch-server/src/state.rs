//! What every handler shares.

use std::sync::{Arc, Mutex, PoisonError};

use jiff::Timestamp;
use notch_core::catalogue::Catalogue;
use notch_core::own::{InForce, OwnRecord, in_force};
use notch_store::{READERS, Reader, Store, StoreError, Writer};
use serde::Serialize;
use serde::de::DeserializeOwned;
use tokio::sync::{Notify, Semaphore};

use crate::clock::Clock;
use crate::copying::Copying;
use crate::deeds;
use crate::error::ApiError;
use crate::extract::DeviceWrite;
use crate::figures::Figures;
use crate::kept_answers::KeptAnswers;
use crate::live::{Live, LiveChange};
use crate::made_up::MadeUp;
use crate::passphrase::{SignIns, hashed_at_once};
use crate::secure::Reach;
use crate::seen::Seen;
use crate::turns::in_turn;

/// How the server runs.
#[derive(Clone, Debug)]
pub struct Settings {
    /// The made-up school is shown.
    pub demo: bool,
    /// It is looked at beside a school's own, from a page of that one.
    pub beside_own: bool,
    /// The made-up school that can be looked at from here.
    pub made_up: Option<MadeUp>,
    /// How it is reached. Where it listens to this machine only, requests for other host names are refused.
    pub reach: Reach,
    /// The present moment.
    pub clock: Clock,
}

/// Shared by all handlers; cheap to clone.
#[derive(Clone, Debug)]
pub struct AppState {
    /// What was shipped, with nothing of a school's own.
    pub(crate) shipped: Arc<InForce>,
    pub(crate) store: Arc<Store>,
    pub(crate) settings: Arc<Settings>,
    pub(crate) sign_ins: Arc<SignIns>,
    /// When each session was last heard of.
    pub(crate) seen: Arc<Seen>,
    pub(crate) kept_answers: Arc<KeptAnswers>,
    /// The catalogue in force, as it was last made.
    laid: Arc<Mutex<Option<Laid>>>,
    /// As many readings at once as the store has connections for.
    reading: Arc<Semaphore>,
    /// One change at a time: one that waits has not begun, and is given up with its request.
    writing: Arc<Semaphore>,
    /// Something was changed.
    pub(crate) written: Arc<Notify>,
    /// Tells open pages of changes.
    pub(crate) live: Live,
    /// Copies of the school.
    pub(crate) copying: Arc<Copying>,
    /// What a host watches.
    pub(crate) figures: Arc<Figures>,
    /// Size of the school's file from which on nothing more is written down, bytes.
    most_bytes: u64,
}

/// What the schools of one host have in common: nothing that any of them wrote down.
#[derive(Clone, Debug)]
pub(crate) struct InCommon {
    pub(crate) shipped: Arc<InForce>,
    pub(crate) hashing: Arc<Semaphore>,
    pub(crate) figures: Arc<Figures>,
}

impl InCommon {
    /// What begins with what was shipped.
    pub(crate) fn new(catalogue: &Catalogue) -> Self {
        InCommon { shipped: Arc::new(in_force(catalogue, &[])), hashing: hashed_at_once(), figures: Arc::default() }
    }
}

/// A catalogue with the own values that it was made from.
#[derive(Debug)]
struct Laid {
    own: Vec<OwnRecord>,
    in_force: Arc<InForce>,
}

impl AppState {
    /// Puts the parts together.
    pub fn new(catalogue: &Catalogue, store: Store, settings: Settings) -> Self {
        Self::of_host(&InCommon::new(catalogue), store, settings, u64::MAX)
    }

    /// One of the schools of a host.
    pub(crate) fn of_host(common: &InCommon, store: Store, settings: Settings, most_bytes: u64) -> Self {
        AppState {
            shipped: common.shipped.clone(),
            store: Arc::new(store),
            settings: Arc::new(settings),
            sign_ins: Arc::new(SignIns::sharing(common.hashing.clone())),
            seen: Arc::default(),
            kept_answers: Arc::default(),
            laid: Arc::default(),
            reading: Arc::new(Semaphore::new(READERS)),
            writing: Arc::new(Semaphore::new(1)),
            written: Arc::default(),
            live: Live::default(),
            copying: Arc::default(),
            figures: common.figures.clone(),
            most_bytes,
        }
    }

    /// The catalogue in force, with the school's own values that fit laid over what was shipped. It is
    /// made again only when they change.
    pub(crate) fn in_force(&self, reader: &Reader<'_>) -> Result<Arc<InForce>, ApiError> {
        let own = reader.own_values()?;
        if own.is_empty() {
            return Ok(self.shipped.clone());
        }
        let mut laid = self.laid.lock().unwrap_or_else(PoisonError::into_inner);
        if let Some(found) = laid.as_ref().filter(|found| found.own == own) {
            return Ok(found.in_force.clone());
        }
        let found = Arc::new(in_force(&self.shipped.catalogue, &own));
        *laid = Some(Laid { own, in_force: found.clone() });
        Ok(found)
    }

    /// Reads records at one moment, off the async threads. The catalogue is not asked for: whatever
    /// stands in a school's own values, this answers.
    pub(crate) async fn read_records<T: Send + 'static>(
        &self,
        read: impl FnOnce(&Reader<'_>) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        let state = self.clone();
        // The store's own error type stops a reading; ours is carried out beside it.
        in_turn(&self.reading, move |wanted| {
            let still_wanted = wanted.clone();
            state.store.read_while(move || still_wanted.still(), |reader| Ok::<_, StoreError>(read(reader)))?
        })
        .await
    }

    /// Works something out that hangs on no record, in its turn among the readings. What takes long asks
    /// now and then whether it is still wanted.
    pub(crate) async fn compute<T: Send + 'static>(
        &self,
        work: impl FnOnce(&dyn Fn() -> bool) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        in_turn(&self.reading, |wanted| work(&|| wanted.still())).await
    }

    /// Reads at one moment, with the catalogue in force, off the async threads.
    pub(crate) async fn read<T: Send + 'static>(
        &self,
        read: impl FnOnce(&Reader<'_>, &Catalogue) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        let state = self.clone();
        self.read_records(move |reader| read(reader, &state.in_force(reader)?.catalogue)).await
    }

    /// Changes in one transaction, off the async threads; on an error nothing is kept.
    ///
    /// `change` says by a key what it made, `answer` tells it from the key. A write that a device sends
    /// again under the same id is not done again: it is answered from the key of the first time, as
    /// things stand now. Both are given the moment at which the write happened on the device.
    pub(crate) async fn write<K, T>(
        &self,
        write: DeviceWrite,
        change: impl FnOnce(&Writer<'_>, &Catalogue, Timestamp) -> Result<K, ApiError> + Send + 'static,
        answer: impl FnOnce(&Reader<'_>, &Catalogue, K) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError>
    where
        K: Serialize + DeserializeOwned,
        T: Send + 'static,
    {
        let bytes = if self.most_bytes == u64::MAX { 0 } else { self.store.bytes() };
        if bytes >= self.most_bytes {
            return Err(ApiError::SchoolFull { bytes, most: self.most_bytes });
        }
        let state = self.clone();
        let told = LiveChange { subject: Some(deeds::subject(write.deed())), touch: write.id.clone() };
        in_turn(&self.writing, move |_| {
            let answered = state.store.write(|writer| {
                let now = state.settings.clock.now();
                let made = match &write.id {
                    Some(id) => writer.made_by::<K>(id, &write.action)?,
                    None => None,
                };
                let key = match made {
                    Some(key) => key,
                    None => {
                        let in_force = state.in_force(writer)?;
                        // As it was called before: what is changed may be the name.
                        let mut noted = write.noted(writer, &in_force.catalogue, now)?;
                        let key = change(writer, &in_force.catalogue, write.happened(now)?)?;
                        let told = serde_json::to_value(&key).map_err(|error| ApiError::Internal(error.to_string()))?;
                        if let Some((subject, id)) = deeds::after(writer, &in_force.catalogue, &noted.deed, &told) {
                            (noted.subject, noted.subject_id) = (subject, Some(id));
                        }
                        writer.note_change(&noted)?;
                        if let Some(id) = &write.id {
                            writer.remember_write(id, &write.action, &key, now)?;
                        }
                        key
                    }
                };
                answer(writer, &state.in_force(writer)?.catalogue, key)
            });
            state.written.notify_one();
            if answered.is_ok() {
                state.live.tell(told);
            }
            answered
        })
        .await
    }

    /// Lets go of what is kept in memory to be quick.
    pub(crate) fn be_small(&self) {
        *self.laid.lock().unwrap_or_else(PoisonError::into_inner) = None;
        self.kept_answers.forget();
        self.store.be_small();
    }

    /// Changes what no device sends twice and nobody is named for: sessions, invitations, passphrases.
    pub(crate) async fn write_access<T: Send + 'static>(
        &self,
        change: impl FnOnce(&Writer<'_>) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        let state = self.clone();
        in_turn(&self.writing, move |_| {
            let done = state.store.write(change);
            state.written.notify_one();
            done
        })
        .await
    }
}
