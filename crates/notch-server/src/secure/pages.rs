//! The page that tells how other devices reach the program and come to trust it, which is also the sheet for the wall;
//! the files it hands out; and what is answered where somebody asks without TLS.

use axum::Router;
use axum::extract::{Request, State};
use axum::http::header;
use axum::response::{IntoResponse, Redirect, Response};
use axum::routing::{any, get};
use base64::Engine;
use base64::prelude::BASE64_STANDARD;
use qrcode::render::svg;
use qrcode::{EcLevel, QrCode};

use super::own::Authority;
use super::reach::{Reach, TRUST_PATH};
use crate::error::ApiError;
use crate::plain_page::{escaped, plain_page};

/// The page and its files; who reads them need not be signed in, and need not trust the school yet.
pub(crate) fn pages(reach: Reach) -> Router {
    Router::new()
        .route(TRUST_PATH, get(page))
        .route("/trust/school.crt", get(certificate))
        .route("/trust/school.mobileconfig", get(profile))
        .with_state(reach)
}

/// What is answered without TLS where TLS is spoken: the page, and for everything else the way to it.
pub(crate) fn pointer(reach: Reach) -> Router {
    pages(reach.clone()).fallback_service(any(point).with_state(reach))
}

async fn point(State(reach): State<Reach>, request: Request) -> Response {
    let path = request.uri().path();
    if path.starts_with("/api/") {
        return ApiError::Forbidden("This program is reached over HTTPS alone.").into_response();
    }
    let given = reach.tls.as_ref().is_some_and(|tls| tls.authority().is_none());
    let name = request.headers().get(header::HOST).and_then(|host| host.to_str().ok()).map(without_port);
    match name {
        // With a certificate that devices trust already there is nothing to tell.
        Some(name) if given => {
            let there = reach.names().into_iter().next().unwrap_or_else(|| name.to_owned());
            Redirect::permanent(&format!("{}{path}", reach.address(&there, true))).into_response()
        }
        _ => Redirect::temporary(TRUST_PATH).into_response(),
    }
}

fn without_port(host: &str) -> &str {
    match host.rsplit_once(':') {
        Some((name, port)) if port.bytes().all(|byte| byte.is_ascii_digit()) => name.trim_matches(['[', ']']),
        _ => host,
    }
}

fn authority(reach: &Reach) -> Option<&Authority> {
    reach.tls.as_ref().and_then(|tls| tls.authority())
}

fn none_here() -> Response {
    ApiError::NotFound("this program has no certificate of its own".to_owned()).into_response()
}

async fn certificate(State(reach): State<Reach>) -> Response {
    let Some(authority) = authority(&reach) else { return none_here() };
    let headers = [
        (header::CONTENT_TYPE, "application/x-x509-ca-cert"),
        (header::CONTENT_DISPOSITION, "attachment; filename=\"yard-notch-school.crt\""),
    ];
    (headers, authority.pem.clone()).into_response()
}

/// The same for an iPhone or iPad, which take a certificate inside a profile.
async fn profile(State(reach): State<Reach>) -> Response {
    let Some(authority) = authority(&reach) else { return none_here() };
    let digits: String = authority.fingerprint().replace(' ', "").chars().take(32).collect();
    let part = |from: usize, to: usize| digits.get(from..to).unwrap_or_default().to_owned();
    let id = |last: &str| format!("{}-{}-{}-{}-{}{last}", part(0, 8), part(8, 12), part(12, 16), part(16, 20), part(20, 31));
    let (outer, inner, content) = (id("0"), id("1"), BASE64_STANDARD.encode(&authority.der));
    let text = format!(
        r#"<?xml version="1.0" encoding="UTF-8"?>
<!DOCTYPE plist PUBLIC "-//Apple//DTD PLIST 1.0//EN" "http://www.apple.com/DTDs/PropertyList-1.0.dtd">
<plist version="1.0"><dict>
<key>PayloadType</key><string>Configuration</string>
<key>PayloadVersion</key><integer>1</integer>
<key>PayloadIdentifier</key><string>local.yard-notch.school</string>
<key>PayloadUUID</key><string>{outer}</string>
<key>PayloadDisplayName</key><string>Yard Notch, this school</string>
<key>PayloadContent</key><array><dict>
<key>PayloadType</key><string>com.apple.security.root</string>
<key>PayloadVersion</key><integer>1</integer>
<key>PayloadIdentifier</key><string>local.yard-notch.school.authority</string>
<key>PayloadUUID</key><string>{inner}</string>
<key>PayloadDisplayName</key><string>Yard Notch, this school</string>
<key>PayloadCertificateFileName</key><string>yard-notch-school.crt</string>
<key>PayloadContent</key><data>{content}</data>
</dict></array>
</dict></plist>
"#
    );
    ([(header::CONTENT_TYPE, "application/x-apple-aspen-config")], text).into_response()
}

async fn page(State(reach): State<Reach>) -> Result<Response, ApiError> {
    plain_page("Other devices", STYLE, &content(&reach))
}

const STYLE: &str = include_str!("trust.css");

fn content(reach: &Reach) -> String {
    let names = reach.names();
    let Some(best) = names.first() else {
        let why = if reach.is_loopback() { THIS_MACHINE_ONLY } else { NO_ADDRESS };
        return format!("{HEAD}{why}");
    };
    let first = reach.for_others().unwrap_or_default();
    let steps = match (reach.is_secure(), authority(reach)) {
        (true, Some(authority)) => format!("{}{}", trust_steps(authority), opening(&reach.address(best, true))),
        (true, None) => opening(&reach.address(best, true)),
        (false, _) => WITHOUT_TLS.to_owned(),
    };
    let others: Vec<String> = names
        .iter()
        .skip(1)
        .map(|name| format!("<li><code>{}</code></li>", escaped(&reach.address(name, reach.is_secure()))))
        .collect();
    let others = if others.is_empty() {
        String::new()
    } else {
        format!(
            "<section><h2>If that address is not found</h2><p>This machine has other names and addresses too:</p><ul>{}</ul></section>",
            others.concat()
        )
    };
    format!(
        "{HEAD}<section class=\"code\">{}<div><h2>1. Come here with the device</h2>\
         <p>On the same Wi-Fi as the machine with the program, point the camera at the code, or type:</p>\
         <p class=\"address\"><code>{}</code></p></div></section>{steps}{others}",
        code(&first),
        escaped(&first)
    )
}

const HEAD: &str = "<h1>Yard Notch on your other devices</h1>";

const THIS_MACHINE_ONLY: &str = "<section><p>The program listens to this machine only: no other device reaches it. \
    To let the tablets of the room in, choose a passphrase under “Who works here”, stop the program and start it with</p>\
    <p class=\"address\"><code>yard-notch serve --listen 0.0.0.0:7411 --tls</code></p>\
    <p>Then this page shows the address as a code, and how each device comes to trust it.</p></section>";

const NO_ADDRESS: &str = "<section><p>This machine has no address on a private network, and the school’s own certificate vouches \
    for no other. Is it on the Wi-Fi? If its address is a public one, take the folder <code>tls</code> beside the school away and \
    start the program with that address:</p>\
    <p class=\"address\"><code>yard-notch serve --listen 0.0.0.0:7411 --tls --tls-name ADDRESS</code></p></section>";

const WITHOUT_TLS: &str = "<section class=\"caution\"><h2>What will not work this way</h2><ul>\
    <li>The page does not open again without a network: when the Wi-Fi fails in class, a tablet that is woken up shows nothing.</li>\
    <li>It cannot be put on the home screen as a program of its own.</li>\
    <li>Whoever is on the same Wi-Fi can read along, passphrases too.</li></ul>\
    <p>Start the program with <code>--tls</code> and all of it works; devices are then told once to trust the school.</p></section>";

fn trust_steps(authority: &Authority) -> String {
    format!(
        "<section><h2>2. Once for each device: trust this school</h2>\
         <p class=\"files\"><a href=\"/trust/school.mobileconfig\">Profile for iPhone and iPad</a> \
         <a href=\"/trust/school.crt\">Certificate for all others</a></p><dl>{DEVICES}</dl>\
         <p>Before you do, compare the fingerprint (SHA-256) that the device shows with this one, on the screen of the machine \
         itself:</p><p class=\"print\"><code>{}</code></p>\
         <p class=\"quiet\">It vouches for this school’s program alone: private networks and names that end in “.local”. \
         Trust it on the school’s own devices; when one leaves the school, take the certificate off in the same place.</p></section>",
        authority.fingerprint()
    )
}

const DEVICES: &str = "<dt>iPhone, iPad</dt><dd>In Safari load the profile. Settings → Profile downloaded → Install. Then Settings → \
    General → About → Certificate trust settings: switch on “Yard Notch, this school”.</dd>\
    <dt>Android</dt><dd>Download the certificate. In the settings search for “CA certificate” → Install anyway → choose the file. \
    The device needs a screen lock.</dd>\
    <dt>Windows</dt><dd>Open the certificate → Install certificate → Current user → Place in: Trusted root certification \
    authorities.</dd>\
    <dt>Mac</dt><dd>Open the certificate; in Keychain Access open it under “login” → Trust → Always trust.</dd>\
    <dt>Chromebook, Linux</dt><dd>In the browser’s settings search for “certificates” → Manage → Authorities → Import; tick \
    websites.</dd>\
    <dt>Firefox, anywhere</dt><dd>Settings → Privacy → View certificates → Authorities → Import; tick websites.</dd>";

fn opening(address: &str) -> String {
    let address = escaped(address);
    format!(
        "<section><h2>3. Open the program</h2><p class=\"address\"><a href=\"{address}\"><code>{address}</code></a></p>\
         <p>Put it on the home screen (Share → Add to home screen, or the browser’s menu → Install): once it was open it opens \
         again without a network.</p></section>"
    )
}

/// An address as a code for cameras.
fn code(address: &str) -> String {
    let Ok(code) = QrCode::with_error_correction_level(address, EcLevel::M) else { return String::new() };
    let drawn = code.render::<svg::Color<'_>>().min_dimensions(180, 180).quiet_zone(true).build();
    let svg = drawn.find("<svg").and_then(|start| drawn.get(start..)).unwrap_or_default();
    format!("<figure role=\"img\" aria-label=\"The address as a code\">{svg}</figure>")
}
