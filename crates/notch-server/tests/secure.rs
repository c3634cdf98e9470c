//! TLS as a device meets it: over a real connection.

use std::fs;
use std::net::SocketAddr;
use std::path::{Path, PathBuf};
use std::sync::Arc;

use notch_core::catalogue::Catalogue;
use notch_store::Store;
use rcgen::{CertificateParams, KeyPair, date_time_ymd};
use tempfile::TempDir;
use tokio::io::{AsyncRead, AsyncReadExt, AsyncWrite, AsyncWriteExt};
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::oneshot;
use tokio_rustls::TlsConnector;
use tokio_rustls::rustls::crypto::ring;
use tokio_rustls::rustls::pki_types::pem::PemObject;
use tokio_rustls::rustls::pki_types::{CertificateDer, ServerName};
use tokio_rustls::rustls::{ClientConfig, RootCertStore};

use notch_server::{AppState, Clock, Reach, Settings, Tls, run};

/// The program over TLS, until it is dropped.
struct Served {
    at: SocketAddr,
    _stop: oneshot::Sender<()>,
    _folder: TempDir,
}

async fn serve(tls: Arc<Tls>) -> Served {
    let folder = TempDir::new().unwrap();
    let listener = TcpListener::bind("127.0.0.1:0").await.unwrap();
    let at = listener.local_addr().unwrap();
    let reach = Reach { listen: at, tls: Some(tls), ..Reach::default() };
    let settings = Settings { demo: false, beside_own: false, made_up: None, reach, clock: Clock::System };
    let state = AppState::new(&Catalogue::shipped().unwrap(), Store::open(folder.path()).unwrap(), settings);
    let (stop, stopped) = oneshot::channel();
    tokio::spawn(run(state, listener, async {
        let _ = stopped.await;
    }));
    Served { at, _stop: stop, _folder: folder }
}

/// What a device gets that trusts one authority and opens the program under a name.
async fn over_tls(at: SocketAddr, trusts: &CertificateDer<'static>, name: &str, path: &str) -> std::io::Result<String> {
    let mut roots = RootCertStore::empty();
    roots.add(trusts.clone()).unwrap();
    let config = ClientConfig::builder_with_provider(Arc::new(ring::default_provider()))
        .with_safe_default_protocol_versions()
        .unwrap()
        .with_root_certificates(roots)
        .with_no_client_auth();
    let stream = TcpStream::connect(at).await?;
    let name = ServerName::try_from(name.to_owned()).unwrap();
    let stream = TlsConnector::from(Arc::new(config)).connect(name, stream).await?;
    get(stream, path).await
}

async fn get(mut stream: impl AsyncRead + AsyncWrite + Unpin, path: &str) -> std::io::Result<String> {
    stream.write_all(format!("GET {path} HTTP/1.1\r\nhost: localhost\r\nconnection: close\r\n\r\n").as_bytes()).await?;
    let mut answer = Vec::new();
    stream.read_to_end(&mut answer).await?;
    Ok(String::from_utf8_lossy(&answer).into_owned())
}

async fn in_plain(at: SocketAddr, path: &str) -> String {
    get(TcpStream::connect(at).await.unwrap(), path).await.unwrap()
}

/// What devices trust of a school whose certificate is kept in a folder.
fn der(folder: &Path) -> CertificateDer<'static> {
    CertificateDer::from_pem_file(folder.join("school-authority.crt")).unwrap()
}

#[tokio::test]
async fn the_schools_own_certificate_is_made_once_and_trusted_by_who_trusts_the_school() {
    let folder = TempDir::new().unwrap();
    let served = serve(Arc::new(Tls::own(folder.path(), &[]).unwrap())).await;
    for name in ["localhost", "127.0.0.1"] {
        let answer = over_tls(served.at, &der(folder.path()), name, "/api/about").await.unwrap();
        assert!(answer.starts_with("HTTP/1.1 200") && answer.contains("\"secure\":true"), "{answer}");
    }
    assert!(over_tls(served.at, &der(folder.path()), "school.example.org", "/api/about").await.is_err(), "not for that name");
    // Started again it is the same school; another school is another.
    let before = der(folder.path());
    let _again = Tls::own(folder.path(), &[]).unwrap();
    assert_eq!(der(folder.path()), before);
    let other = TempDir::new().unwrap();
    let _other = Tls::own(other.path(), &[]).unwrap();
    assert!(
        over_tls(served.at, &der(other.path()), "localhost", "/api/about").await.is_err(),
        "nobody trusts it who does not know it"
    );
    #[cfg(unix)]
    {
        use std::os::unix::fs::PermissionsExt;
        let mode = fs::metadata(folder.path().join("school-authority.key")).unwrap().permissions().mode();
        assert_eq!(mode & 0o077, 0, "the key is the owner's alone");
    }
}

#[tokio::test]
async fn without_tls_there_is_only_the_way_to_it() {
    let folder = TempDir::new().unwrap();
    let served = serve(Arc::new(Tls::own(folder.path(), &[]).unwrap())).await;
    for path in ["/", "/courses/1/class"] {
        let answer = in_plain(served.at, path).await;
        assert!(answer.starts_with("HTTP/1.1 307") && answer.contains("location: /trust"), "{answer}");
    }
    let answer = in_plain(served.at, "/api/courses").await;
    assert!(answer.starts_with("HTTP/1.1 403") && answer.contains("HTTPS alone"), "{answer}");
    assert!(in_plain(served.at, "/trust").await.starts_with("HTTP/1.1 200"));
    let certificate = in_plain(served.at, "/trust/school.crt").await;
    assert!(certificate.contains("-----BEGIN CERTIFICATE-----") && !certificate.contains("PRIVATE"), "{certificate}");
    let profile = in_plain(served.at, "/trust/school.mobileconfig").await;
    assert!(profile.contains("com.apple.security.root"), "{profile}");
}

#[test]
fn the_authority_vouches_for_private_networks_and_what_was_named_alone() {
    let folder = TempDir::new().unwrap();
    let named = ["kitchen.example.org".to_owned(), "203.0.113.7".to_owned()];
    let tls = Tls::own(folder.path(), &named).unwrap();
    for name in named {
        assert!(tls.names().contains(&name), "{:?} lacks {name}", tls.names());
    }
    for name in ["kitchen.example.org", "galley.local", "192.168.4.2", "fd00::7", "203.0.113.7"] {
        assert!(Tls::own(folder.path(), &[name.to_owned()]).is_ok(), "{name}");
    }
    for name in ["example.org", "notkitchen.example.org", "local.example", "203.0.113.8", "2001:db8::1"] {
        let refused = Tls::own(folder.path(), &[name.to_owned()]).unwrap_err().to_string();
        assert!(refused.contains(&format!("is not for {name}")), "{refused}");
    }
}

#[test]
fn an_authority_that_is_damaged_or_has_lost_its_key_is_told_and_kept() {
    let folder = TempDir::new().unwrap();
    let (certificate, key) = (folder.path().join("school-authority.crt"), folder.path().join("school-authority.key"));
    let _made = Tls::own(folder.path(), &[]).unwrap();
    let (sound, secret) = (fs::read(&certificate).unwrap(), fs::read(&key).unwrap());
    let refused = || Tls::own(folder.path(), &[]).unwrap_err().to_string();
    fs::remove_file(&key).unwrap();
    assert!(refused().contains("without its key"), "{}", refused());
    fs::write(&key, KeyPair::generate().unwrap().serialize_pem()).unwrap();
    assert!(refused().contains("is not the certificate of the key"), "{}", refused());
    fs::write(&key, &secret).unwrap();
    fs::write(&certificate, "nothing").unwrap();
    assert!(refused().contains("is no certificate"), "{}", refused());
    assert_eq!(fs::read(&certificate).unwrap(), b"nothing", "it is not replaced: devices trust the one that was here");
    fs::write(&certificate, sound).unwrap();
    assert!(Tls::own(folder.path(), &[]).is_ok());
}

/// A certificate and its key in files, for these names, from one year to another.
fn files(folder: &Path, names: &[&str], from: i32, to: i32) -> (PathBuf, PathBuf, CertificateDer<'static>) {
    let key = KeyPair::generate().unwrap();
    let mut asked = CertificateParams::new(names.iter().map(|name| (*name).to_owned()).collect::<Vec<_>>()).unwrap();
    (asked.not_before, asked.not_after) = (date_time_ymd(from, 1, 1), date_time_ymd(to, 1, 1));
    let made = asked.self_signed(&key).unwrap();
    let (certificate, secret) = (folder.join("given.crt"), folder.join("given.key"));
    fs::write(&certificate, made.pem()).unwrap();
    fs::write(&secret, key.serialize_pem()).unwrap();
    (certificate, secret, made.der().clone())
}

#[tokio::test]
async fn a_given_certificate_is_used_and_taken_anew_when_its_files_change() {
    let folder = TempDir::new().unwrap();
    let (certificate, key, first) = files(folder.path(), &["school.example.org"], 2020, 2090);
    let tls = Arc::new(Tls::given(&certificate, &key, &["school.example.org".to_owned()]).unwrap());
    let served = serve(tls.clone()).await;
    let answer = over_tls(served.at, &first, "school.example.org", "/api/about").await.unwrap();
    assert!(answer.starts_with("HTTP/1.1 200"), "{answer}");
    let port = served.at.port();
    // Its port is this test's own; there are no names for this machine alone.
    let pointed = in_plain(served.at, "/courses/1/yard").await;
    assert!(pointed.starts_with("HTTP/1.1 308") && pointed.contains(&format!(":{port}/courses/1/yard")), "{pointed}");
    assert!(in_plain(served.at, "/trust/school.crt").await.starts_with("HTTP/1.1 404"));

    // What cannot be used leaves the one that is in use.
    let sound = fs::read(&key).unwrap();
    fs::write(&key, "nothing").unwrap();
    tls.refresh().unwrap_err();
    assert!(over_tls(served.at, &first, "school.example.org", "/api/about").await.is_ok());
    fs::write(&key, sound).unwrap();
    let (_, _, second) = files(folder.path(), &["kitchen.example.org"], 2020, 2090);
    tls.refresh().unwrap();
    assert!(over_tls(served.at, &first, "school.example.org", "/api/about").await.is_err());
    assert!(over_tls(served.at, &second, "kitchen.example.org", "/api/about").await.is_ok());
}

#[test]
fn a_given_certificate_that_cannot_be_used_is_told_with_its_reason() {
    let folder = TempDir::new().unwrap();
    let refused =
        |certificate: &Path, key: &Path, name: &str| Tls::given(certificate, key, &[name.to_owned()]).unwrap_err().to_string();
    let (certificate, key, _) = files(folder.path(), &["school.example.org"], 2020, 2021);
    assert!(refused(&certificate, &key, "school.example.org").contains("ran out on"), "expired");
    let (certificate, key, _) = files(folder.path(), &["school.example.org"], 2090, 2091);
    assert!(refused(&certificate, &key, "school.example.org").contains("valid only from"), "not yet");
    let (certificate, key, _) = files(folder.path(), &["school.example.org"], 2020, 2090);
    let told = refused(&certificate, &key, "other.example.org");
    assert!(told.contains("is not for other.example.org; it is for school.example.org"), "{told}");
    let missing = folder.path().join("none.key");
    assert!(refused(&certificate, &missing, "school.example.org").contains("none.key"));
    fs::write(&key, KeyPair::generate().unwrap().serialize_pem()).unwrap();
    assert!(refused(&certificate, &key, "school.example.org").contains("is not the key of"));
    assert!(refused(&certificate, &certificate, "school.example.org").contains("holds no private key"));
    fs::write(&certificate, "").unwrap();
    assert!(refused(&certificate, &key, "school.example.org").contains("holds no certificate"));
}
