//! Why TLS cannot be spoken.

use std::path::{Path, PathBuf};

use tokio_rustls::rustls;

/// Why TLS cannot be spoken.
#[derive(Debug, thiserror::Error)]
pub enum TlsError {
    /// A file that cannot be read or written.
    #[error("{path}: {why}")]
    File {
        /// The file.
        path: PathBuf,
        /// What the system says.
        why: std::io::Error,
    },
    /// A file that holds something else.
    #[error("{path}: {why}")]
    Content {
        /// The file.
        path: PathBuf,
        /// What is wrong with it.
        why: String,
    },
    /// A name that the certificate is not for.
    #[error("{path} is not for {name}; it is for {names}")]
    OtherName {
        /// The file.
        path: PathBuf,
        /// The name that was asked for.
        name: String,
        /// The names it is for.
        names: String,
    },
    /// A certificate could not be made.
    #[error("the school's own certificate could not be made: {0}")]
    Making(String),
    /// The library's own refusal.
    #[error("TLS: {0}")]
    Library(#[from] rustls::Error),
}

impl TlsError {
    pub(super) fn file(path: &Path, why: std::io::Error) -> TlsError {
        TlsError::File { path: path.to_owned(), why }
    }

    pub(super) fn content(path: &Path, why: impl ToString) -> TlsError {
        TlsError::Content { path: path.to_owned(), why: why.to_string() }
    }
}
