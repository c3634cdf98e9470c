//! What who runs the host sees: every school with its size, its latest copy and what went wrong, the ones that need
//! somebody first. On the listener that only the host reaches: it asks nobody to sign in.

use axum::Json;
use axum::Router;
use axum::extract::{Query, State};
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use axum::routing::get;
use jiff::tz::TimeZone;
use jiff::{SignedDuration, Timestamp};
use notch_core::school::{SchoolCard, SchoolName, Standing};
use notch_store::{Copies, DATABASE_FILE, is_held};
use serde::{Deserialize, Serialize};

use super::schools::Host;
use super::under::UNDER;
use crate::error::ApiError;
use crate::plain_page::{escaped, plain_page};
use crate::turns::blocking;

const STYLE: &str = include_str!("page.css");

/// Age from which on the copy of a school that was changed since is old.
const OLD: SignedDuration = SignedDuration::from_hours(48);

/// Of what a school is given, how much it may have before somebody should know: nine tenths.
const NEARLY: (u64, u64) = (9, 10);

/// Most schools that one page shows.
const MOST: usize = 1_000;

/// How a school stands on its host.
#[derive(Clone, Debug, Serialize)]
struct OnHost {
    name: SchoolName,
    title: String,
    hosts: Vec<String>,
    standing: &'static str,
    /// Somebody has asked a moment ago.
    open: bool,
    bytes: u64,
    most_bytes: u64,
    changed: Option<Timestamp>,
    copied: Option<Timestamp>,
    /// What somebody should see to, in words.
    to_do: Vec<String>,
}

#[derive(Deserialize)]
struct Asked {
    #[serde(default)]
    find: String,
}

/// The routes of the listener that who runs a host watches.
pub fn watched_host(host: Host) -> Router {
    Router::new()
        .route("/", get(page))
        .route("/schools.json", get(|State(host): State<Host>| async move { all(host).await.map(Json) }))
        .route("/healthz", get(|| async { "well\n" }))
        .route("/readyz", get(ready))
        .route("/metrics", get(metrics))
        .with_state(host)
}

/// Whether schools could be opened now: their folder can be read.
async fn ready(State(host): State<Host>) -> Response {
    match blocking(move || Ok(host.inner.schools.names()?)).await {
        Ok(_) => "ready\n".into_response(),
        Err(error) => (StatusCode::SERVICE_UNAVAILABLE, format!("not ready: {}\n", error.document().detail)).into_response(),
    }
}

async fn metrics(State(host): State<Host>) -> Result<Response, ApiError> {
    let schools = all(host.clone()).await?;
    let bytes = schools.iter().map(|school| school.bytes).sum();
    let oldest = schools.iter().filter_map(|school| school.copied).min().map_or(0, Timestamp::as_second);
    host.figures().needing_somebody(schools.iter().filter(|school| !school.to_do.is_empty()).count());
    let text = host.figures().text(bytes, oldest, false)?;
    let kind = "application/openmetrics-text; version=1.0.0; charset=utf-8";
    Ok(([(header::CONTENT_TYPE, kind)], text).into_response())
}

/// Every school, those that need somebody first, then by name.
async fn all(host: Host) -> Result<Vec<OnHost>, ApiError> {
    blocking(move || {
        let now = Timestamp::now();
        let mut found: Vec<OnHost> = host.inner.schools.names()?.into_iter().map(|name| on_host(&host, name, now)).collect();
        found.sort_by_key(|school| school.to_do.is_empty());
        Ok(found)
    })
    .await
}

fn on_host(host: &Host, name: SchoolName, now: Timestamp) -> OnHost {
    let schools = &host.inner.schools;
    let data = schools.data(&name);
    let mut to_do = Vec::new();
    let card = schools.card(&name).unwrap_or_else(|error| {
        to_do.push(format!("Its card cannot be read: {error}"));
        SchoolCard::default()
    });
    let file = std::fs::metadata(data.join(DATABASE_FILE)).ok();
    let bytes = file.as_ref().map_or(0, std::fs::Metadata::len);
    let moment = |at: std::io::Result<std::time::SystemTime>| at.ok().and_then(|at| Timestamp::try_from(at).ok());
    let changed = file.as_ref().and_then(|file| moment(file.modified()));
    let made = file.as_ref().and_then(|file| moment(file.created())).or(changed);
    let copied = Copies::of(&data).list().ok().and_then(|copies| copies.first().map(|copy| copy.at));
    let place = host.places().get(&name).cloned();
    let door = place.and_then(|place| place.try_lock().ok().and_then(|door| door.clone()));
    let served = matches!(card.standing, Standing::Open);
    if let Some((at, error)) = host.error_of(&name) {
        to_do.push(format!("{}: {error}", when(at)));
    }
    if let Some(damage) = door.as_ref().and_then(|door| door.damage()) {
        to_do.push(format!("Damaged: {damage}"));
    }
    // A school that was made a moment ago has no copy yet.
    let old = |at: Timestamp| now.duration_since(at) > OLD;
    match (changed, copied) {
        (Some(_), None) if served && made.is_some_and(old) => to_do.push("There is no copy of it.".to_owned()),
        (Some(changed), Some(copied)) if served && changed > copied && old(copied) => {
            to_do.push("Changed since its latest copy, which is old.".to_owned());
        }
        _ => {}
    }
    let most_bytes = card.limits.most_bytes;
    if bytes.saturating_mul(NEARLY.1) >= most_bytes.saturating_mul(NEARLY.0) {
        to_do.push("Nearly as large as it may be; then nothing more is written down.".to_owned());
    }
    let standing = match &card.standing {
        standing if is_held(standing, now) => "worked on",
        Standing::Open | Standing::Held { .. } => "served",
        Standing::Archived => "closed",
        Standing::Moved { .. } => "on another host",
    };
    OnHost {
        name,
        title: card.title,
        hosts: card.hosts.iter().map(ToString::to_string).collect(),
        standing,
        open: door.is_some(),
        bytes,
        most_bytes,
        changed,
        copied,
        to_do,
    }
}

/// A moment where the host is.
fn when(at: Timestamp) -> String {
    TimeZone::system().to_datetime(at).strftime("%-d %b %Y, %H:%M").to_string()
}

fn size(bytes: u64) -> String {
    match bytes {
        0..1_000_000 => format!("{} kB", bytes.div_ceil(1000)),
        1_000_000..10_000_000_000 => format!("{} MB", bytes.div_ceil(1_000_000)),
        _ => format!("{} GB", bytes.div_ceil(1_000_000_000)),
    }
}

async fn page(State(host): State<Host>, Query(asked): Query<Asked>) -> Result<Response, ApiError> {
    let at = host.reach().first_address();
    plain_page("Schools of this host", STYLE, &content(&all(host).await?, &asked.find, &at))
}

fn content(schools: &[OnHost], find: &str, at: &str) -> String {
    let needing = schools.iter().filter(|school| !school.to_do.is_empty()).count();
    let open = schools.iter().filter(|school| school.open).count();
    let total = size(schools.iter().map(|school| school.bytes).sum());
    let state = match needing {
        0 => "<p class=\"well\">None of them needs you.</p>".to_owned(),
        1 => "<p class=\"caution\">1 needs you; it stands first.</p>".to_owned(),
        more => format!("<p class=\"caution\">{more} need you; they stand first.</p>"),
    };
    let words = find.to_lowercase();
    let fits =
        |school: &&OnHost| format!("{} {} {}", school.name, school.title.to_lowercase(), school.hosts.join(" ")).contains(&words);
    let found: Vec<&OnHost> = schools.iter().filter(fits).collect();
    let rows: String = found.iter().take(MOST).map(|school| row(school, at)).collect();
    let none = if schools.is_empty() {
        "<p>There is no school yet. Make one: <code>yard-notch school add NAME --title \"…\" --instructor \"…\"</code></p>"
    } else if found.is_empty() {
        "<p>No school is called so.</p>"
    } else {
        ""
    };
    let more = if found.len() > MOST { format!("<p>{} more: find them by name.</p>", found.len() - MOST) } else { String::new() };
    format!(
        "<header><h1>Schools of this host</h1><form><label for=\"find\">Find</label>\
         <input id=\"find\" name=\"find\" value=\"{}\" placeholder=\"Name or host name\"></form></header>\
         <p>{}, {open} open now, {total} in all.</p>{state}{none}<table><thead><tr><th scope=\"col\">School</th><th scope=\"col\">Now</th>\
         <th scope=\"col\" class=\"figure\">Size</th><th scope=\"col\">Last change</th><th scope=\"col\">Latest copy</th></tr></thead>\
         <tbody>{rows}</tbody></table>{more}",
        escaped(find),
        match schools.len() {
            1 => "1 school".to_owned(),
            count => format!("{count} schools"),
        }
    )
}

fn row(school: &OnHost, at: &str) -> String {
    let moment = |at: Option<Timestamp>| at.map_or_else(|| "none".to_owned(), when);
    let title = if school.title.is_empty() { school.name.to_string() } else { escaped(&school.title) };
    let address = school.hosts.first().map_or_else(|| format!("{at}{}{}/", UNDER, school.name), Clone::clone);
    let now = if school.open { "open" } else { school.standing };
    let to_do: String = school.to_do.iter().map(|words| format!("<p class=\"caution\">{}</p>", escaped(words))).collect();
    format!(
        "<tr><th scope=\"row\">{title}<span class=\"quiet\">{}</span>{to_do}</th><td data-of=\"Now\">{now}</td>\
         <td class=\"figure\" data-of=\"Size\">{}<span class=\"quiet\">of {}</span></td><td data-of=\"Last change\">{}</td>\
         <td data-of=\"Latest copy\">{}</td></tr>",
        escaped(&address),
        size(school.bytes),
        size(school.most_bytes),
        moment(school.changed),
        moment(school.copied)
    )
}
