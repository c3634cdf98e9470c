//! The school's own certificate: an authority that devices are told to trust once, and a certificate by it that is
//! made anew whenever it runs out or this machine has other addresses.
//!
//! What the authority may vouch for is bounded in itself: private networks, names that end in `.local`, and the names
//! that were given when it was made. Who would steal it from the machine could imitate nothing else.

use std::collections::BTreeSet;
use std::fs;
use std::net::{IpAddr, Ipv6Addr};
use std::path::{Path, PathBuf};
use std::sync::{Arc, Mutex, PoisonError};

use jiff::civil::Date;
use jiff::tz::TimeZone;
use jiff::{Span, Timestamp};
use rcgen::{
    BasicConstraints, CertificateParams, CidrSubnet, DnType, ExtendedKeyUsagePurpose, GeneralSubtree, IsCa, Issuer, KeyPair,
    KeyUsagePurpose, NameConstraints, PublicKeyData, date_time_ymd,
};
use sha2::{Digest, Sha256};
use tokio_rustls::rustls::crypto::ring;
use tokio_rustls::rustls::pki_types::pem::PemObject;
use tokio_rustls::rustls::pki_types::{CertificateDer, PrivateKeyDer};
use tokio_rustls::rustls::sign::CertifiedKey;
use x509_parser::certificate::X509Certificate;
use x509_parser::extensions::{GeneralName, ParsedExtension};
use x509_parser::prelude::FromDer;

use super::addresses::{local_name, of_this_machine};
use super::error::TlsError;

/// File of the authority's certificate: what devices trust.
const AUTHORITY: &str = "school-authority.crt";

/// File of its key: it never leaves this machine.
const AUTHORITY_KEY: &str = "school-authority.key";

/// Years for which an authority is made.
const AUTHORITY_YEARS: i32 = 10;

/// Days for which a certificate is made: devices refuse long ones.
const DAYS: i32 = 180;

/// Days before its end on which it is made anew.
const DAYS_LEFT: i32 = 30;

/// The networks of rooms and houses, which no authority on the Internet vouches for.
const PRIVATE: [([u8; 4], u8); 5] =
    [([127, 0, 0, 0], 8), ([10, 0, 0, 0], 8), ([172, 16, 0, 0], 12), ([192, 168, 0, 0], 16), ([169, 254, 0, 0], 16)];

/// The same of IPv6.
const PRIVATE_V6: [(IpAddr, u8); 3] = [
    (IpAddr::V6(Ipv6Addr::LOCALHOST), 128),
    (IpAddr::V6(Ipv6Addr::new(0xfc00, 0, 0, 0, 0, 0, 0, 0)), 7),
    (IpAddr::V6(Ipv6Addr::new(0xfe80, 0, 0, 0, 0, 0, 0, 0)), 10),
];

/// What devices are told to trust.
#[derive(Debug)]
pub(super) struct Authority {
    /// Its certificate, DER.
    pub(super) der: CertificateDer<'static>,
    /// The same, PEM.
    pub(super) pem: String,
    key_pem: String,
    /// Ends of names that it may vouch for.
    dns: Vec<String>,
    /// Networks that it may vouch for: the address and its mask, as the certificate has them.
    networks: Vec<Vec<u8>>,
}

impl Authority {
    /// SHA-256 of the certificate in pairs of digits, as devices show it.
    pub(super) fn fingerprint(&self) -> String {
        Sha256::digest(&self.der).iter().map(|byte| format!("{byte:02X}")).collect::<Vec<_>>().join(" ")
    }

    /// Whether it may vouch for a name or address.
    fn may(&self, name: &str) -> bool {
        match name.parse::<IpAddr>() {
            Ok(IpAddr::V4(address)) => self.networks.iter().any(|network| holds(network, &address.octets())),
            Ok(IpAddr::V6(address)) => self.networks.iter().any(|network| holds(network, &address.octets())),
            Err(_) => self.dns.iter().any(|end| {
                let (name, end) = (name.to_ascii_lowercase(), end.to_ascii_lowercase());
                name == end || name.strip_suffix(&end).is_some_and(|rest| rest.ends_with('.'))
            }),
        }
    }
}

/// Whether an address is in a network, which is an address followed by its mask.
fn holds(network: &[u8], address: &[u8]) -> bool {
    let (start, mask) = network.split_at(network.len() / 2);
    start.len() == address.len() && start.iter().zip(mask).zip(address).all(|((start, mask), byte)| start & mask == byte & mask)
}

/// The school's own certificate.
#[derive(Debug)]
pub(super) struct Own {
    authority: Authority,
    /// Names that were asked for beside this machine's own.
    names: Vec<String>,
    /// Day on which the certificate in use is to be made anew.
    due: Mutex<Date>,
}

impl Own {
    /// Opens the authority in a folder, or makes one.
    pub(super) fn open(folder: &Path, names: &[String]) -> Result<Own, TlsError> {
        let (certificate, key) = (folder.join(AUTHORITY), folder.join(AUTHORITY_KEY));
        let authority = match (certificate.exists(), key.exists()) {
            (true, true) => read(&certificate, &key)?,
            (true, false) => return Err(TlsError::content(&certificate, format!("is here without its key, {AUTHORITY_KEY}"))),
            (false, _) => make(folder, names)?,
        };
        if let Some(name) = names.iter().find(|name| !authority.may(name)) {
            let names =
                format!("private networks, {}, and the addresses that were named when it was made", authority.dns.join(", "));
            return Err(TlsError::OtherName { path: certificate, name: name.clone(), names });
        }
        Ok(Own { authority, names: names.to_vec(), due: Mutex::new(Date::MIN) })
    }

    pub(super) fn authority(&self) -> &Authority {
        &self.authority
    }

    /// What a certificate is made for: names before addresses.
    fn wanted(&self) -> Vec<String> {
        let names: BTreeSet<String> = self.names.iter().cloned().chain(local_name()).chain(["localhost".to_owned()]).collect();
        let loopback = [IpAddr::from([127, 0, 0, 1])];
        let addresses: BTreeSet<IpAddr> = of_this_machine().into_iter().chain(loopback).collect();
        let addresses = addresses.iter().map(ToString::to_string).filter(|address| self.authority.may(address));
        let (given, named): (Vec<String>, Vec<String>) = names.into_iter().partition(|name| is_address(name));
        let mut wanted: Vec<String> = named.into_iter().chain(given).filter(|name| self.authority.may(name)).collect();
        for address in addresses {
            if !wanted.contains(&address) {
                wanted.push(address);
            }
        }
        wanted
    }

    /// Whether the certificate for these names is to be made anew.
    pub(super) fn is_due(&self, names: &[String]) -> bool {
        today() >= *self.due.lock().unwrap_or_else(PoisonError::into_inner) || self.wanted() != names
    }

    /// Makes a certificate for this machine as it is reached now.
    pub(super) fn issue(&self) -> Result<(Arc<CertifiedKey>, Vec<String>), TlsError> {
        let names = self.wanted();
        let key = KeyPair::generate().map_err(making)?;
        let mut asked = CertificateParams::new(names.clone()).map_err(making)?;
        asked.distinguished_name.push(DnType::CommonName, names.first().map_or("Yard Notch", String::as_str));
        asked.key_usages = vec![KeyUsagePurpose::DigitalSignature];
        asked.extended_key_usages = vec![ExtendedKeyUsagePurpose::ServerAuth];
        asked.use_authority_key_identifier_extension = true;
        let end = later(today(), DAYS);
        set_validity(&mut asked, today(), end)?;
        let authority_key = KeyPair::from_pem(&self.authority.key_pem).map_err(making)?;
        let issuer = Issuer::from_ca_cert_pem(&self.authority.pem, authority_key).map_err(making)?;
        let certificate = asked.signed_by(&key, &issuer).map_err(making)?;
        let secret = PrivateKeyDer::try_from(key.serialize_der()).map_err(making)?;
        let secret = ring::sign::any_supported_type(&secret)?;
        *self.due.lock().unwrap_or_else(PoisonError::into_inner) = later(end, -DAYS_LEFT);
        Ok((Arc::new(CertifiedKey::new(vec![certificate.der().clone()], secret)), names))
    }
}

fn making(why: impl ToString) -> TlsError {
    TlsError::Making(why.to_string())
}

fn today() -> Date {
    Timestamp::now().to_zoned(TimeZone::UTC).date()
}

fn later(day: Date, days: i32) -> Date {
    day.saturating_add(Span::new().days(days))
}

/// Says from when to when a certificate holds; a day earlier, for clocks that are behind.
fn set_validity(asked: &mut CertificateParams, from: Date, to: Date) -> Result<(), TlsError> {
    let parts = |day: Date| -> Result<(i32, u8, u8), TlsError> {
        let part = |number: i8| u8::try_from(number).map_err(making);
        Ok((i32::from(day.year()), part(day.month())?, part(day.day())?))
    };
    let ((y1, m1, d1), (y2, m2, d2)) = (parts(later(from, -1))?, parts(to)?);
    (asked.not_before, asked.not_after) = (date_time_ymd(y1, m1, d1), date_time_ymd(y2, m2, d2));
    Ok(())
}

/// Makes an authority and keeps it, its key for the owner alone.
fn make(folder: &Path, names: &[String]) -> Result<Authority, TlsError> {
    let key = KeyPair::generate().map_err(making)?;
    let mut asked = CertificateParams::default();
    asked.distinguished_name.push(DnType::CommonName, "Yard Notch, this school");
    asked.is_ca = IsCa::Ca(BasicConstraints::Constrained(0));
    asked.key_usages = vec![KeyUsagePurpose::KeyCertSign, KeyUsagePurpose::CrlSign];
    let dns = ["local", "localhost"].into_iter().chain(names.iter().map(String::as_str).filter(|name| !is_address(name)));
    let mut permitted: Vec<GeneralSubtree> = dns.map(|name| GeneralSubtree::DnsName(name.to_owned())).collect();
    let alone = names.iter().filter_map(|name| name.parse::<IpAddr>().ok()).map(|address| (address, 128));
    for (start, bits) in PRIVATE.map(|(start, bits)| (IpAddr::from(start), bits)).into_iter().chain(PRIVATE_V6).chain(alone) {
        let bits = if start.is_ipv4() { bits.min(32) } else { bits };
        permitted.push(GeneralSubtree::IpAddress(CidrSubnet::from_addr_prefix(start, bits)));
    }
    asked.name_constraints = Some(NameConstraints { permitted_subtrees: permitted, excluded_subtrees: Vec::new() });
    let end = today().saturating_add(Span::new().years(AUTHORITY_YEARS));
    set_validity(&mut asked, today(), end)?;
    let certificate = asked.self_signed(&key).map_err(making)?;
    let authority = authority(certificate.pem(), key.serialize_pem()).map_err(making)?;
    keep(folder, &authority)?;
    Ok(authority)
}

fn is_address(name: &str) -> bool {
    name.parse::<IpAddr>().is_ok()
}

/// An authority from its texts.
///
/// # Errors
/// What is wrong with the certificate, or that the key is another's.
fn authority(pem: String, key_pem: String) -> Result<Authority, String> {
    let der = CertificateDer::from_pem_slice(pem.as_bytes()).map_err(|why| format!("is no certificate: {why}"))?;
    let pair = KeyPair::from_pem(&key_pem).map_err(|why| format!("has no key beside it that can be read: {why}"))?;
    let (dns, networks) = {
        let (_, read) = X509Certificate::from_der(&der).map_err(|why| format!("is no certificate: {why}"))?;
        if Timestamp::now().as_second() > read.validity().not_after.timestamp() {
            let anew = "take it and its key away, and have each device trust the new one";
            return Err(format!("ran out on {}: {anew}", read.validity().not_after));
        }
        if read.public_key().raw != pair.subject_public_key_info().as_slice() {
            return Err(format!("is not the certificate of the key in {AUTHORITY_KEY}"));
        }
        permitted(&read)
    };
    Ok(Authority { der, pem, key_pem, dns, networks })
}

fn keep(folder: &Path, authority: &Authority) -> Result<(), TlsError> {
    fs::create_dir_all(folder).map_err(|why| TlsError::file(folder, why))?;
    // The key first: without its certificate it is made anew, the other way round it would be missed.
    let written = [(AUTHORITY_KEY, &authority.key_pem, true), (AUTHORITY, &authority.pem, false)];
    for (name, text, secret) in written {
        let path: PathBuf = folder.join(name);
        write(&path, text, secret).map_err(|why| TlsError::file(&path, why))?;
    }
    Ok(())
}

fn write(path: &Path, text: &str, secret: bool) -> std::io::Result<()> {
    use std::io::Write;
    let mut options = fs::OpenOptions::new();
    options.write(true).create(true).truncate(true);
    #[cfg(unix)]
    {
        use std::os::unix::fs::OpenOptionsExt;
        options.mode(if secret { 0o600 } else { 0o644 });
    }
    #[cfg(not(unix))]
    let _ = secret;
    let mut file = options.open(path)?;
    file.write_all(text.as_bytes())?;
    file.sync_all()
}

fn read(certificate: &Path, key: &Path) -> Result<Authority, TlsError> {
    let read = |path: &Path| fs::read_to_string(path).map_err(|why| TlsError::file(path, why));
    authority(read(certificate)?, read(key)?).map_err(|why| TlsError::content(certificate, why))
}

/// Ends of names and networks that an authority may vouch for.
fn permitted(certificate: &X509Certificate<'_>) -> (Vec<String>, Vec<Vec<u8>>) {
    let constraints = certificate.extensions().iter().find_map(|extension| match extension.parsed_extension() {
        ParsedExtension::NameConstraints(constraints) => constraints.permitted_subtrees.as_ref(),
        _ => None,
    });
    let (mut names, mut networks) = (Vec::new(), Vec::new());
    for subtree in constraints.into_iter().flatten() {
        match &subtree.base {
            GeneralName::DNSName(name) => names.push((*name).to_owned()),
            GeneralName::IPAddress(network) => networks.push(network.to_vec()),
            _ => {}
        }
    }
    (names, networks)
}
