//! A certificate from files, as an authority gave it; read again when they change.

use std::fs;
use std::path::{Path, PathBuf};
use std::sync::{Arc, Mutex, PoisonError};
use std::time::SystemTime;

use jiff::Timestamp;
use tokio_rustls::rustls::crypto::ring;
use tokio_rustls::rustls::pki_types::pem::PemObject;
use tokio_rustls::rustls::pki_types::{CertificateDer, PrivateKeyDer};
use tokio_rustls::rustls::sign::CertifiedKey;
use x509_parser::certificate::X509Certificate;
use x509_parser::extensions::GeneralName;
use x509_parser::prelude::FromDer;

use super::error::TlsError;

/// Files with a certificate and its key.
#[derive(Debug)]
pub(super) struct Given {
    certificate: PathBuf,
    key: PathBuf,
    /// When they had last been changed, as they were read.
    read: Mutex<Option<[SystemTime; 2]>>,
}

impl Given {
    pub(super) fn new(certificate: &Path, key: &Path) -> Given {
        Given { certificate: certificate.to_owned(), key: key.to_owned(), read: Mutex::default() }
    }

    fn changed_at(&self) -> Option<[SystemTime; 2]> {
        let of = |path: &Path| fs::metadata(path).and_then(|about| about.modified()).ok();
        Some([of(&self.certificate)?, of(&self.key)?])
    }

    /// Whether the files are others than those that were read.
    pub(super) fn was_changed(&self) -> bool {
        self.changed_at() != *self.read.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// The certificate and the names it is for.
    pub(super) fn load(&self) -> Result<(Arc<CertifiedKey>, Vec<String>), TlsError> {
        let changed_at = self.changed_at();
        let loaded = from_files(&self.certificate, &self.key)?;
        *self.read.lock().unwrap_or_else(PoisonError::into_inner) = changed_at;
        Ok(loaded)
    }
}

fn from_files(certificate: &Path, key: &Path) -> Result<(Arc<CertifiedKey>, Vec<String>), TlsError> {
    let text = fs::read(certificate).map_err(|why| TlsError::file(certificate, why))?;
    let chain: Vec<CertificateDer<'static>> = CertificateDer::pem_slice_iter(&text)
        .collect::<Result<_, _>>()
        .map_err(|why| TlsError::content(certificate, format!("is no certificate in PEM: {why}")))?;
    let first = chain.first().ok_or_else(|| TlsError::content(certificate, "holds no certificate in PEM"))?;
    let names = names_in(first, Timestamp::now()).map_err(|why| TlsError::content(certificate, why))?;
    let text = fs::read(key).map_err(|why| TlsError::file(key, why))?;
    let secret = PrivateKeyDer::from_pem_slice(&text)
        .map_err(|why| TlsError::content(key, format!("holds no private key in PEM: {why}")))?;
    let secret = ring::sign::any_supported_type(&secret)
        .map_err(|why| TlsError::content(key, format!("holds a key that cannot be used: {why}")))?;
    let certified = CertifiedKey::new(chain, secret);
    certified.keys_match().map_err(|_| TlsError::content(key, format!("is not the key of {}", certificate.display())))?;
    Ok((Arc::new(certified), names))
}

/// The names and addresses a certificate is for.
///
/// # Errors
/// One that cannot be read, has run out, is not valid yet, or is for no name.
pub(super) fn names_in(certificate: &CertificateDer<'_>, now: Timestamp) -> Result<Vec<String>, String> {
    let (_, read) = X509Certificate::from_der(certificate).map_err(|why| format!("is no certificate: {why}"))?;
    let validity = read.validity();
    if now.as_second() > validity.not_after.timestamp() {
        return Err(format!("ran out on {}: a new one is needed", validity.not_after));
    }
    if now.as_second() < validity.not_before.timestamp() {
        return Err(format!("is valid only from {} on: is the clock of this machine right?", validity.not_before));
    }
    let alternative = read.subject_alternative_name().map_err(|why| format!("is no sound certificate: {why}"))?;
    let names = alternative.into_iter().flat_map(|names| names.value.general_names.iter());
    let mut names: Vec<String> = names
        .filter_map(|name| match name {
            GeneralName::DNSName(name) => Some((*name).to_owned()),
            GeneralName::IPAddress(bytes) => address(bytes),
            _ => None,
        })
        .collect();
    names.sort_by_key(|name| name.parse::<std::net::IpAddr>().is_ok());
    if names.is_empty() { Err("is for no name that browsers look at".to_owned()) } else { Ok(names) }
}

fn address(bytes: &[u8]) -> Option<String> {
    let four = <[u8; 4]>::try_from(bytes).map(|four| std::net::IpAddr::from(four).to_string());
    four.or_else(|_| <[u8; 16]>::try_from(bytes).map(|sixteen| std::net::IpAddr::from(sixteen).to_string())).ok()
}
