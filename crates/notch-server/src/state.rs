//! What every handler shares.

use std::sync::{Arc, Mutex, PoisonError};

use notch_core::catalogue::Catalogue;
use notch_core::own::{OwnValue, with_own};
use notch_core::records::OwnRecord;
use notch_store::{Reader, Store, StoreError, Writer};

use crate::auth::SignIns;
use crate::clock::Clock;
use crate::error::ApiError;
use crate::kept_answers::KeptAnswers;

/// How the server runs.
#[derive(Clone, Debug)]
pub struct Settings {
    /// The made-up school is shown.
    pub demo: bool,
    /// Listens to this machine only: requests for other host names are refused.
    pub loopback: bool,
    /// The present moment.
    pub clock: Clock,
}

/// Shared by all handlers; cheap to clone.
#[derive(Clone, Debug)]
pub struct AppState {
    pub(crate) catalogue: Arc<Catalogue>,
    pub(crate) store: Arc<Store>,
    pub(crate) settings: Arc<Settings>,
    pub(crate) sign_ins: Arc<SignIns>,
    pub(crate) kept_answers: Arc<KeptAnswers>,
    /// The catalogue with the school's own values laid over it, as it was last made.
    laid: Arc<Mutex<Option<Laid>>>,
}

/// A catalogue with the own values that it was made from.
#[derive(Debug)]
struct Laid {
    own: Vec<OwnRecord>,
    catalogue: Arc<Catalogue>,
}

impl AppState {
    /// Puts the parts together.
    pub fn new(catalogue: Catalogue, store: Store, settings: Settings) -> Self {
        AppState {
            catalogue: Arc::new(catalogue),
            store: Arc::new(store),
            settings: Arc::new(settings),
            sign_ins: Arc::new(SignIns::default()),
            kept_answers: Arc::default(),
            laid: Arc::default(),
        }
    }

    /// The catalogue in force: what was shipped, with the school's own values laid over it. It is
    /// made again only when they change.
    fn in_force(&self, reader: &Reader<'_>) -> Result<Arc<Catalogue>, ApiError> {
        let own = reader.own_values()?;
        if own.is_empty() {
            return Ok(self.catalogue.clone());
        }
        let mut laid = self.laid.lock().unwrap_or_else(PoisonError::into_inner);
        if let Some(found) = laid.as_ref().filter(|found| found.own == own) {
            return Ok(found.catalogue.clone());
        }
        let values: Vec<OwnValue> = own.iter().map(|record| record.value.clone()).collect();
        let told = |problems: Vec<notch_core::Problem>| {
            problems.into_iter().map(|problem| problem.message).collect::<Vec<_>>().join(" ")
        };
        let catalogue = with_own(&self.catalogue, &values)
            .map_err(|problems| ApiError::Internal(format!("own values: {}", told(problems))))?;
        let catalogue = Arc::new(catalogue);
        *laid = Some(Laid { own, catalogue: catalogue.clone() });
        Ok(catalogue)
    }

    /// Reads at one moment, off the async threads.
    pub(crate) async fn read<T: Send + 'static>(
        &self,
        read: impl FnOnce(&Reader<'_>, &Catalogue) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        let state = self.clone();
        blocking(move || {
            // The store's own error type stops a reading; ours is carried out beside it.
            state
                .store
                .read(|reader| Ok::<_, StoreError>(state.in_force(reader).and_then(|catalogue| read(reader, &catalogue))))?
        })
        .await
    }

    /// Changes in one transaction, off the async threads; on an error nothing is kept.
    pub(crate) async fn write<T: Send + 'static>(
        &self,
        write: impl FnOnce(&Writer<'_>, &Catalogue) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        let state = self.clone();
        blocking(move || state.store.write(|writer| write(writer, &*state.in_force(writer)?))).await
    }
}

/// Runs blocking work on the threads meant for it.
pub(crate) async fn blocking<T: Send + 'static>(
    work: impl FnOnce() -> Result<T, ApiError> + Send + 'static,
) -> Result<T, ApiError> {
    match tokio::task::spawn_blocking(work).await {
        Ok(done) => done,
        Err(error) => Err(ApiError::Internal(error.to_string())),
    }
}
