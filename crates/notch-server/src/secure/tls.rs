//! TLS as it is spoken, with a certificate that is changed while connections go on.

use std::path::Path;
use std::sync::{Arc, Mutex, PoisonError, RwLock};

use tokio_rustls::TlsAcceptor;
use tokio_rustls::rustls::ServerConfig;
use tokio_rustls::rustls::crypto::ring;
use tokio_rustls::rustls::server::{ClientHello, ResolvesServerCert};
use tokio_rustls::rustls::sign::CertifiedKey;

use super::addresses;
use super::error::TlsError;
use super::given::Given;
use super::own::{Authority, Own};

/// Where the certificate comes from.
#[derive(Debug)]
enum Source {
    Own(Own),
    Given(Given),
}

/// The certificate in use; it is changed while connections go on.
#[derive(Debug)]
struct InUse(RwLock<Arc<CertifiedKey>>);

impl ResolvesServerCert for InUse {
    fn resolve(&self, _hello: ClientHello<'_>) -> Option<Arc<CertifiedKey>> {
        Some(self.0.read().unwrap_or_else(PoisonError::into_inner).clone())
    }
}

/// TLS as it is spoken.
pub struct Tls {
    source: Source,
    in_use: Arc<InUse>,
    acceptor: TlsAcceptor,
    /// What the certificate in use is for.
    names: Mutex<Vec<String>>,
}

impl std::fmt::Debug for Tls {
    fn fmt(&self, formatter: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        formatter.debug_struct("Tls").field("source", &self.source).finish_non_exhaustive()
    }
}

impl Tls {
    /// With the school's own certificate, made in `folder` on the first start, for this machine's names and addresses
    /// and for `names`.
    ///
    /// # Errors
    /// A folder that cannot be written; what is in it and is no certificate of ours; a name that it is not allowed.
    pub fn own(folder: &Path, names: &[String]) -> Result<Tls, TlsError> {
        Tls::from(Source::Own(Own::open(folder, names)?))
    }

    /// With a certificate and its key from files, both PEM; each of `names` must be among those it is for.
    ///
    /// # Errors
    /// Files that cannot be read or hold something else, a key of another certificate, a certificate that has run out or
    /// is not valid yet, or is for other names.
    pub fn given(certificate: &Path, key: &Path, names: &[String]) -> Result<Tls, TlsError> {
        let given = Given::new(certificate, key);
        let (_, found) = given.load()?;
        if let Some(name) = names.iter().find(|name| !addresses::covers(&found, name)) {
            let path = certificate.to_owned();
            return Err(TlsError::OtherName { path, name: name.clone(), names: found.join(", ") });
        }
        Tls::from(Source::Given(given))
    }

    fn from(source: Source) -> Result<Tls, TlsError> {
        let (first, names) = load(&source)?;
        let in_use = Arc::new(InUse(RwLock::new(first)));
        let config = ServerConfig::builder_with_provider(Arc::new(ring::default_provider()))
            .with_safe_default_protocol_versions()?
            .with_no_client_auth();
        let mut config = config.with_cert_resolver(in_use.clone());
        config.alpn_protocols = vec![b"http/1.1".to_vec()];
        Ok(Tls { source, in_use, acceptor: TlsAcceptor::from(Arc::new(config)), names: Mutex::new(names) })
    }

    /// Takes the certificate anew where it is about to run out, where this machine has other addresses than before, or
    /// where the given files were changed. What fails leaves the one in use.
    ///
    /// # Errors
    /// As on the start.
    pub fn refresh(&self) -> Result<(), TlsError> {
        let changed = match &self.source {
            Source::Own(own) => own.is_due(&self.names()),
            Source::Given(given) => given.was_changed(),
        };
        if changed {
            let (certificate, names) = load(&self.source)?;
            *self.in_use.0.write().unwrap_or_else(PoisonError::into_inner) = certificate;
            *self.names.lock().unwrap_or_else(PoisonError::into_inner) = names;
        }
        Ok(())
    }

    pub(crate) fn acceptor(&self) -> &TlsAcceptor {
        &self.acceptor
    }

    /// What the certificate in use is for, names before addresses.
    pub fn names(&self) -> Vec<String> {
        self.names.lock().unwrap_or_else(PoisonError::into_inner).clone()
    }

    /// The school's own authority, which devices are told to trust; none with a given certificate.
    pub(super) fn authority(&self) -> Option<&Authority> {
        match &self.source {
            Source::Own(own) => Some(own.authority()),
            Source::Given(_) => None,
        }
    }
}

fn load(source: &Source) -> Result<(Arc<CertifiedKey>, Vec<String>), TlsError> {
    match source {
        Source::Own(own) => own.issue(),
        Source::Given(given) => given.load(),
    }
}
