//! When nobody changes anything, the school's file is all of the school.

use std::sync::Arc;

use notch_store::Store;
use tokio::sync::Notify;

use crate::limits::REST_AFTER;
use crate::turns::blocking;

/// A while after the latest change, has the file hold all changes.
pub(crate) async fn rest_when_idle(store: Arc<Store>, written: Arc<Notify>) {
    loop {
        written.notified().await;
        loop {
            while tokio::time::timeout(REST_AFTER, written.notified()).await.is_ok() {}
            let store = store.clone();
            match blocking(move || Ok(store.rest()?)).await {
                Ok(true) => break,
                // A reading held it up: later.
                Ok(false) => {}
                Err(error) => {
                    tracing::warn!(?error, "the latest changes stand beside the school's file and could not be moved into it");
                    break;
                }
            }
        }
    }
}
