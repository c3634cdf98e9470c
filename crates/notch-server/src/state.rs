//! What every handler shares.

use std::sync::Arc;

use notch_core::catalogue::Catalogue;
use notch_store::{Reader, Store, StoreError, Writer};

use crate::auth::SignIns;
use crate::clock::Clock;
use crate::error::ApiError;

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
}

impl AppState {
    /// Puts the parts together.
    pub fn new(catalogue: Catalogue, store: Store, settings: Settings) -> Self {
        AppState {
            catalogue: Arc::new(catalogue),
            store: Arc::new(store),
            settings: Arc::new(settings),
            sign_ins: Arc::new(SignIns::default()),
        }
    }

    /// Reads at one moment, off the async threads.
    pub(crate) async fn read<T: Send + 'static>(
        &self,
        read: impl FnOnce(&Reader<'_>, &Catalogue) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        let state = self.clone();
        blocking(move || {
            // The store's own error type stops a reading; ours is carried out beside it.
            state.store.read(|reader| Ok::<_, StoreError>(read(reader, &state.catalogue)))?
        })
        .await
    }

    /// Changes in one transaction, off the async threads; on an error nothing is kept.
    pub(crate) async fn write<T: Send + 'static>(
        &self,
        write: impl FnOnce(&Writer<'_>, &Catalogue) -> Result<T, ApiError> + Send + 'static,
    ) -> Result<T, ApiError> {
        let state = self.clone();
        blocking(move || state.store.write(|writer| write(writer, &state.catalogue))).await
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
