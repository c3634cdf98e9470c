//! What each command does. Errors are told to the person at the terminal as they are.

use std::error::Error;
use std::fs;
use std::io::{self, Write};
use std::net::SocketAddr;
use std::path::{Path, PathBuf};
use std::sync::{Arc, OnceLock};
use std::time::Duration;

use jiff::SignedDuration;
use notch_core::catalogue::Catalogue;
use notch_core::own::{InForce, SetAside, in_force};
use notch_core::rotation::Instance;
use notch_core::staff::{Role, check_name};
use notch_core::views::{AskedJobs, answer_jobs};
use notch_server::{AppState, Clock, Host, MadeUp, Reach, Settings, Tls, hash_passphrase, watched, watched_host};
use notch_store::{Document, FORMAT, Schools, ServingLock, Store, StoreError};
use tokio::net::TcpListener;
use tracing_subscriber::filter::{LevelFilter, Targets};
use tracing_subscriber::layer::SubscriberExt;
use tracing_subscriber::util::SubscriberInitExt;

use crate::{LogForm, Serve};

pub(crate) type Done = Result<(), Box<dyn Error>>;

/// The log goes to the standard error; `RUST_LOG` says how much of it, warnings where it is not set.
fn start_log(form: LogForm) -> Done {
    let wanted = match std::env::var("RUST_LOG") {
        Ok(wanted) => wanted.parse().map_err(|error| format!("RUST_LOG is {wanted:?}: {error}"))?,
        Err(_) => Targets::new().with_default(LevelFilter::WARN),
    };
    let log = tracing_subscriber::registry().with(wanted);
    match form {
        LogForm::Text => log.with(tracing_subscriber::fmt::layer().with_writer(io::stderr)).init(),
        LogForm::Json => log.with(tracing_subscriber::fmt::layer().json().with_writer(io::stderr)).init(),
    }
    Ok(())
}

pub(crate) fn serve(asked: &Serve) -> Done {
    start_log(asked.log)?;
    if let Some(schools) = &asked.schools {
        return serve_schools(asked, schools);
    }
    let (demo, listen) = (asked.demo, asked.listen);
    let data = asked.data.clone().unwrap_or_else(|| PathBuf::from(if demo { "demo-data" } else { "data" }));
    let catalogue = Catalogue::shipped()?;
    // Held until the program ends: two servers of one school would count each knife for themselves.
    let _lock = ServingLock::take(&data)?;
    let store = Store::open(&data)?;
    let clock = if demo { demo_clock(&store, &catalogue)? } else { own_clock(&store)? };
    let has_passphrase = store.read(|reader| reader.people_who_sign_in())? > 0;
    if (asked.proxied || !listen.ip().is_loopback()) && !has_passphrase {
        return Err(format!(
            "{listen} can be reached from other machines, and no passphrase was set. Allowed without one: 127.0.0.1 or [::1]. \
             Set one with: yard-notch passphrase --data {}",
            data.display()
        )
        .into());
    }
    let tls = tls(asked, &data)?.map(Arc::new);
    let runtime = tokio::runtime::Builder::new_multi_thread().enable_all().build()?;
    runtime.block_on(async {
        let listener = TcpListener::bind(listen).await.map_err(|error| told_of_port(listen, &error))?;
        let reach = Reach { listen: listener.local_addr()?, tls, proxied: asked.proxied, ..Reach::default() };
        let made_up = (!demo).then(|| made_up_in(data.join("made-up"), catalogue.clone(), reach.clone()));
        println!("Yard Notch is at {}  (data in {}; stop with Ctrl+C)", reach.first_address(), data.display());
        if let Some(there) = reach.for_others() {
            println!("Other devices: {there}");
        }
        let state = AppState::new(&catalogue, store, Settings { demo, beside_own: false, made_up, reach, clock });
        if let Some(watch) = asked.watch {
            let listener = TcpListener::bind(watch).await.map_err(|error| told_of_port(watch, &error))?;
            println!("Watched at http://{}/readyz and /metrics", listener.local_addr()?);
            tokio::spawn(notch_server::watch(listener, watched(state.clone())));
        }
        notch_server::run(state, listener, stopped()).await?;
        Ok(())
    })
}

/// Serves the schools of a folder.
fn serve_schools(asked: &Serve, folder: &Path) -> Done {
    let catalogue = Catalogue::shipped()?;
    let schools = Schools::in_folder(folder)?;
    let tls = tls(asked, &folder.join(".host"))?.map(Arc::new);
    let runtime = tokio::runtime::Builder::new_multi_thread().enable_all().build()?;
    runtime.block_on(async {
        let listener = TcpListener::bind(asked.listen).await.map_err(|error| told_of_port(asked.listen, &error))?;
        let reach = Reach { listen: listener.local_addr()?, tls, proxied: asked.proxied, of_many: true, path: String::new() };
        println!("The schools of {} are at {}/s/NAME/  (stop with Ctrl+C)", folder.display(), reach.first_address());
        let host = Host::new(schools, &catalogue, reach, Duration::from_secs(60 * u64::from(asked.close_after)))?;
        if let Some(watch) = asked.watch {
            let listener = TcpListener::bind(watch).await.map_err(|error| told_of_port(watch, &error))?;
            println!("The page for who runs the host: http://{}/", listener.local_addr()?);
            tokio::spawn(notch_server::watch(listener, watched_host(host.clone())));
        }
        notch_server::run_host(host, listener, stopped()).await;
        Ok(())
    })
}

/// TLS as it was asked for.
fn tls(asked: &Serve, data: &Path) -> Result<Option<Tls>, Box<dyn Error>> {
    match (&asked.tls_cert, &asked.tls_key) {
        (Some(certificate), Some(key)) => Ok(Some(Tls::given(certificate, key, &asked.tls_name)?)),
        _ if asked.tls => Ok(Some(Tls::own(&data.join("tls"), &asked.tls_name)?)),
        _ if !asked.tls_name.is_empty() => {
            Err("--tls-name says what a certificate is for: it needs --tls, or --tls-cert and --tls-key".into())
        }
        _ => Ok(None),
    }
}

/// The made-up school beside the school's own, in a folder of its own; built when it is first looked at.
fn made_up_in(folder: PathBuf, catalogue: Catalogue, reach: Reach) -> MadeUp {
    let lock = OnceLock::new();
    MadeUp::new(move || {
        if lock.get().is_none() {
            let _ = lock.set(ServingLock::take(&folder)?);
        }
        let store = Store::open(&folder)?;
        let clock = demo_clock(&store, &catalogue).map_err(|error| error.to_string())?;
        let settings = Settings { demo: true, beside_own: true, made_up: None, reach: reach.clone(), clock };
        Ok(notch_server::router(AppState::new(&catalogue, store, settings)))
    })
}

/// The demo's evening, or later if something was written down later.
fn demo_clock(store: &Store, catalogue: &Catalogue) -> Result<Clock, Box<dyn Error>> {
    notch_demo::fill(store, catalogue)?;
    let latest = store.read(|reader| reader.latest_moment())?;
    let start = latest.map_or(notch_demo::evening(), |latest| notch_demo::evening().max(latest + SignedDuration::from_secs(1)));
    Ok(Clock::demo(start))
}

fn own_clock(store: &Store) -> Result<Clock, Box<dyn Error>> {
    notch_demo::check_own(store)?;
    Ok(Clock::System)
}

fn told_of_port(listen: SocketAddr, error: &io::Error) -> String {
    if error.kind() == io::ErrorKind::AddrInUse {
        format!(
            "port {} is in use, perhaps by another copy of this program. Stop that, or name another: --listen {}:0",
            listen.port(),
            listen.ip()
        )
    } else {
        format!("cannot listen on {listen}: {error}")
    }
}

/// Ends on Ctrl+C, or when the system asks the program to stop.
async fn stopped() {
    let interrupt = async {
        let _ = tokio::signal::ctrl_c().await;
    };
    #[cfg(unix)]
    let terminate = async {
        match tokio::signal::unix::signal(tokio::signal::unix::SignalKind::terminate()) {
            Ok(mut signal) => {
                signal.recv().await;
            }
            Err(_) => std::future::pending().await,
        }
    };
    #[cfg(not(unix))]
    let terminate = std::future::pending::<()>();
    tokio::select! {
        () = interrupt => {}
        () = terminate => {}
    }
}

pub(crate) fn export(data: &Path, file: Option<&Path>) -> Done {
    let document = Store::open_copy(data)?.export()?;
    let text = serde_json::to_string_pretty(&document)?;
    match file {
        None => io::stdout().write_all(text.as_bytes())?,
        Some(file) => {
            if file.exists() && !is_export(file) {
                return Err(format!("{} is there and is no export of this program: name another file", file.display()).into());
            }
            write_whole(file, text.as_bytes()).map_err(|error| format!("{}: {error}", file.display()))?;
            println!("Exported to {}", file.display());
        }
    }
    Ok(())
}

/// Whether a file is an export, which a newer one may take the place of.
fn is_export(file: &Path) -> bool {
    let read = fs::read_to_string(file).ok();
    read.and_then(|text| serde_json::from_str::<Document>(&text).ok()).is_some_and(|document| document.format == FORMAT)
}

/// Written beside under a name that nobody has, kept on the disk and moved: a full disk or a lost current
/// never leaves half a file under the name.
pub(crate) fn write_whole(file: &Path, content: &[u8]) -> io::Result<()> {
    let folder = file.parent().filter(|folder| !folder.as_os_str().is_empty()).unwrap_or(Path::new("."));
    let mut beside = tempfile::NamedTempFile::new_in(folder)?;
    beside.write_all(content)?;
    beside.as_file().sync_all()?;
    beside.persist(file)?;
    Ok(())
}

pub(crate) fn import(data: &Path, file: &Path) -> Done {
    let text = fs::read_to_string(file).map_err(|error| format!("{}: {error}", file.display()))?;
    let document: Document =
        serde_json::from_str(&text).map_err(|error| format!("{} is no export of this program: {error}", file.display()))?;
    let store = Store::open(data)?;
    store.import(&document)?;
    println!("Imported into {}", data.display());
    for line in strange(&store)? {
        eprintln!("Look at this in the program: {line}");
    }
    Ok(())
}

pub(crate) fn check(data: &Path) -> Done {
    let store = Store::open_copy(data)?;
    store.check()?;
    let strange = strange(&store)?;
    if strange.is_empty() {
        println!("{} is sound", store.path().display());
        Ok(())
    } else {
        Err(strange.join("; ").into())
    }
}

/// What this program's catalogue does not fit: own values, and records that name what it does not have.
fn strange(store: &Store) -> Result<Vec<String>, Box<dyn Error>> {
    let shipped = Catalogue::shipped()?;
    Ok(store.read(|reader| {
        let InForce { catalogue, set_aside } = in_force(&shipped, &reader.own_values()?);
        let mut strange: Vec<String> = set_aside.iter().map(told_of_own).collect();
        strange.extend(unknown_ids(reader, &catalogue)?);
        Ok(strange)
    })?)
}

/// An own value that does not fit, in words.
fn told_of_own(aside: &SetAside) -> String {
    let why: Vec<&str> = aside.problems.iter().map(|problem| problem.message.as_str()).collect();
    format!("own {} “{}” no longer fits: {}", aside.record.kind.name(), aside.record.id, why.join(" "))
}

/// Records that name something the catalogue does not have.
fn unknown_ids(reader: &notch_store::Reader<'_>, catalogue: &Catalogue) -> Result<Vec<String>, StoreError> {
    let mut strange = Vec::new();
    for knife in reader.knives()? {
        let problems = knife.fields.check(catalogue);
        strange.extend(problems.into_iter().map(|problem| format!("knife no. {}: {}", knife.fields.number, problem.message)));
    }
    for course in reader.courses()? {
        strange.extend(
            course.fields.check(catalogue).into_iter().map(|problem| format!("{}: {}", course.fields.name, problem.message)),
        );
        for lesson in reader.lessons(course.id)? {
            for exercise in reader.exercises(lesson.id)? {
                let problems = exercise.fields.check(catalogue, &course.fields.standard_set);
                strange.extend(problems.into_iter().map(|problem| format!("exercise {}: {}", exercise.id, problem.message)));
            }
        }
    }
    Ok(strange)
}

/// Gives somebody a passphrase: the one of that name, or the only instructor; an instructor is added where there is none.
pub(crate) fn passphrase(data: &Path, name: Option<&str>) -> Done {
    let store = Store::open(data)?;
    let staff = store.read(|reader| reader.staff())?;
    let here = || staff.iter().filter(|member| !member.archived);
    let instructors: Vec<&str> =
        here().filter(|member| member.role == Role::Instructor).map(|member| member.name.as_str()).collect();
    let name = match (name, instructors.as_slice()) {
        (Some(name), _) => name,
        (None, []) => "Instructor",
        (None, [only]) => only,
        (None, several) => return Err(format!("whose? Name one with --name: {}", several.join(", ")).into()),
    };
    if let Some(problem) = check_name(name) {
        return Err(problem.message.into());
    }
    eprintln!("Type the passphrase of {name}, then Enter:");
    let mut line = String::new();
    io::stdin().read_line(&mut line)?;
    let hash = hash_passphrase(line.trim_end_matches(['\r', '\n']))?;
    let known = here().find(|member| member.name.eq_ignore_ascii_case(name.trim())).map(|member| member.id);
    store.write::<_, StoreError>(|writer| {
        let id = known.map_or_else(|| writer.instructor_named(name).map(|member| member.id), Ok)?;
        writer.set_passphrase(id, &hash)
    })?;
    println!("The passphrase of {name} is set for {}; who was signed in with another one no longer is.", data.display());
    Ok(())
}

pub(crate) fn accept(data: &Path) -> Done {
    if data.is_dir() {
        let _lock = ServingLock::take(data)?;
        Store::accept(data)?;
    } else {
        return Err(format!("there is no folder {}: name the school's with --data", data.display()).into());
    }
    println!("{} is taken as it is, without what was missing; look it over with: yard-notch check", data.display());
    Ok(())
}

/// A file, or standard input for `-`.
fn read_text(file: &Path) -> Result<String, String> {
    let read = if file == Path::new("-") { io::read_to_string(io::stdin()) } else { fs::read_to_string(file) };
    read.map_err(|error| format!("{}: {error}", file.display()))
}

/// Answers a file of jobs.
pub(crate) fn advise(file: &Path) -> Done {
    let asked: AskedJobs = serde_json::from_str(&read_text(file)?).map_err(|error| format!("{}: {error}", file.display()))?;
    writeln!(io::stdout(), "{}", serde_json::to_string_pretty(&answer_jobs(&Catalogue::shipped()?, &asked))?)?;
    Ok(())
}

/// Prints a rotation of a class, or why there is none.
pub(crate) fn rotate(file: &Path) -> Done {
    let class: Instance = serde_json::from_str(&read_text(file)?).map_err(|error| format!("{}: {error}", file.display()))?;
    let answer = class.solve().map_err(|problems| {
        let told = problems.iter().map(|problem| format!("{}: {}", problem.pointer, problem.message));
        format!("{}:\n{}", file.display(), told.collect::<Vec<_>>().join("\n"))
    })?;
    let text = match answer {
        Ok(solution) => serde_json::to_string_pretty(&solution)?,
        Err(impossible) => serde_json::to_string_pretty(&impossible)?,
    };
    writeln!(io::stdout(), "{text}")?;
    Ok(())
}

pub(crate) fn print_course_schema() -> Done {
    writeln!(io::stdout(), "{}", notch_server::course_file_schema()?)?;
    Ok(())
}

pub(crate) fn print_openapi() -> Done {
    writeln!(io::stdout(), "{}", notch_server::openapi().to_pretty_json()?)?;
    Ok(())
}
