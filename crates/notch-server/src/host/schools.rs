//! Many schools on one host: each behind a door of its own, opened when somebody asks and closed when nobody has for a
//! while.

use std::collections::HashMap;
use std::fmt;
use std::sync::{Arc, Mutex, PoisonError};
use std::time::{Duration, SystemTime};

use axum::Router;
use axum::extract::Request;
use axum::response::{IntoResponse, Redirect, Response};
use jiff::Timestamp;
use notch_core::catalogue::Catalogue;
use notch_core::school::{HostName, SchoolName, Standing};
use notch_store::{Schools, StoreError, is_held};
use tokio::sync::OwnedMutexGuard;

use crate::copying::is_due;
use crate::error::ApiError;
use crate::figures::Figures;
use crate::router::routes;
use crate::secure::Reach;
use crate::state::InCommon;
use crate::turns::blocking;

use super::door::Door;

/// How often it is looked whether a door is to be closed.
const LOOK: Duration = Duration::from_millis(200);

/// How often host names are looked up anew.
const LOOK_AT_HOSTS: Duration = Duration::from_secs(3);

/// How often it is looked for schools whose copy is due.
const LOOK_AT_COPIES: Duration = Duration::from_secs(10 * 60);

/// For how long after a copy none is made, by how long that one took; and the longest such rest.
const REST_PER_COPY: u32 = 9;
const LONGEST_REST: Duration = Duration::from_secs(60);

/// So long after the host began to serve, no copy is made: everybody comes back at once.
const FIRST_COPIES: Duration = Duration::from_secs(60);

/// After so long without a request, a school holds nothing in memory to be quick.
const SMALL_AFTER: Duration = Duration::from_secs(20);

/// How long a request waits for a school that is held: a move takes less.
const WAIT_FOR_HELD: Duration = Duration::from_secs(6);

/// Where a school's door is, open or not.
pub(super) type Place = Arc<tokio::sync::Mutex<Option<Arc<Door>>>>;

/// The schools of a host.
#[derive(Clone)]
pub struct Host {
    pub(super) inner: Arc<Inner>,
}

pub(super) struct Inner {
    pub(super) schools: Schools,
    common: InCommon,
    /// The routes of any school.
    routes: Router,
    reach: Reach,
    /// After so long without a request a school is closed.
    close_after: Duration,
    /// Schools that are open, or were a moment ago.
    places: Mutex<HashMap<SchoolName, Place>>,
    /// Schools by their host names, each with when its card was written.
    hosts: Mutex<Hosts>,
    /// One school is looked at for damage at a time.
    looking: Arc<tokio::sync::Semaphore>,
    /// What went wrong last with a school.
    errors: Mutex<HashMap<SchoolName, (Timestamp, String)>>,
}

#[derive(Default)]
struct Hosts {
    by_name: HashMap<HostName, SchoolName>,
    cards: HashMap<SchoolName, (Option<SystemTime>, Vec<HostName>)>,
}

impl fmt::Debug for Host {
    fn fmt(&self, formatter: &mut fmt::Formatter<'_>) -> fmt::Result {
        formatter.debug_struct("Host").field("schools", &self.inner.schools).finish_non_exhaustive()
    }
}

impl Host {
    /// The schools of a folder, none of them open yet.
    ///
    /// # Errors
    /// A folder that cannot be read.
    pub fn new(schools: Schools, catalogue: &Catalogue, reach: Reach, close_after: Duration) -> Result<Host, StoreError> {
        let host = Host {
            inner: Arc::new(Inner {
                schools,
                common: InCommon::new(catalogue),
                routes: routes(reach.clone()),
                reach,
                close_after,
                places: Mutex::default(),
                hosts: Mutex::default(),
                looking: Arc::new(tokio::sync::Semaphore::new(1)),
                errors: Mutex::default(),
            }),
        };
        host.look_at_hosts()?;
        Ok(host)
    }

    /// How it is reached.
    pub fn reach(&self) -> &Reach {
        &self.inner.reach
    }

    pub(crate) fn figures(&self) -> &Arc<Figures> {
        &self.inner.common.figures
    }

    /// The school that has this host name.
    pub(super) fn with_host(&self, host: &HostName) -> Option<SchoolName> {
        self.hosts().by_name.get(host).cloned()
    }

    /// The host name that leads to a school, where one does.
    pub(super) fn host_of(&self, name: &SchoolName) -> Option<HostName> {
        self.hosts().cards.get(name).and_then(|(_, hosts)| hosts.first()).cloned()
    }

    fn hosts(&self) -> std::sync::MutexGuard<'_, Hosts> {
        self.inner.hosts.lock().unwrap_or_else(PoisonError::into_inner)
    }

    pub(super) fn places(&self) -> std::sync::MutexGuard<'_, HashMap<SchoolName, Place>> {
        self.inner.places.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// What went wrong last with a school, and when.
    pub(super) fn error_of(&self, name: &SchoolName) -> Option<(Timestamp, String)> {
        self.inner.errors.lock().unwrap_or_else(PoisonError::into_inner).get(name).cloned()
    }

    fn note(&self, name: &SchoolName, error: Option<String>) {
        let mut errors = self.inner.errors.lock().unwrap_or_else(PoisonError::into_inner);
        match error {
            None => drop(errors.remove(name)),
            Some(error) => {
                tracing::error!(school = %name, error, "a school could not be opened or copied");
                errors.insert(name.clone(), (Timestamp::now(), error));
            }
        }
    }

    /// Answers a request to a school, as its card says. The path is the school's own.
    pub(super) async fn answer(&self, name: &SchoolName, request: Request) -> Response {
        let began = tokio::time::Instant::now();
        loop {
            match self.enter(name).await {
                Ok(Entry::Door(door)) => return door.let_in(&self.inner.routes, request).await,
                // It is being carried elsewhere: what is asked waits, as long as that may take.
                Ok(Entry::Held) if began.elapsed() < WAIT_FOR_HELD => tokio::time::sleep(Duration::from_millis(20)).await,
                Ok(Entry::Held | Entry::Moved(None)) => return not_here().into_response(),
                Ok(Entry::Moved(Some(to))) => return sent_on(&to, &request),
                Ok(Entry::Archived) => {
                    let words = "This school is closed. Its records are kept by who runs the host.";
                    return ApiError::Gone(words.to_owned()).into_response();
                }
                Err(error) => return error.into_response(),
            }
        }
    }

    /// Where a request to a school goes; its door is opened where nobody has asked for a while.
    async fn enter(&self, name: &SchoolName) -> Result<Entry, ApiError> {
        let place = {
            let mut places = self.places();
            match places.get(name) {
                Some(place) => place.clone(),
                None if !self.inner.schools.is_there(name) => {
                    return Err(ApiError::NotFound(format!("there is no school {name} here")));
                }
                None => places.entry(name.clone()).or_default().clone(),
            }
        };
        let mut door = place.clone().lock_owned().await;
        if let Some(open) = door.as_ref().filter(|open| !open.is_outdated(&self.inner.schools, name)) {
            return Ok(Entry::Door(open.clone()));
        }
        // What the host says has changed: who is behind the old door comes out first.
        if let Some(open) = door.take() {
            *door = self.close(open, Duration::from_secs(10)).await;
            if door.is_some() {
                return Ok(Entry::Held);
            }
        }
        match self.open(name, &mut door).await {
            Ok(entry) => {
                self.note(name, None);
                Ok(entry)
            }
            Err(error @ ApiError::Busy(_)) => Err(error),
            Err(error) => {
                self.note(name, Some(error.for_the_host()));
                Err(ApiError::Busy("The records of this school cannot be opened. Who runs the host sees why."))
            }
        }
    }

    async fn open(&self, name: &SchoolName, door: &mut OwnedMutexGuard<Option<Arc<Door>>>) -> Result<Entry, ApiError> {
        let (host, asked) = (self.clone(), name.clone());
        let runtime = tokio::runtime::Handle::current();
        let opened = blocking(move || {
            let _tasks_of = runtime.enter();
            let inner = &host.inner;
            match inner.schools.card(&asked)?.standing {
                Standing::Archived => return Ok(Err(Entry::Archived)),
                Standing::Moved { to } => return Ok(Err(Entry::Moved(to))),
                standing if is_held(&standing, Timestamp::now()) => return Ok(Err(Entry::Held)),
                Standing::Open | Standing::Held { .. } => {}
            }
            match Door::open(&inner.schools, &asked, &inner.common, &inner.reach) {
                Ok(door) => Ok(Ok(Arc::new(door))),
                // A command works on it, or another server has it: both may be over in a moment.
                Err(StoreError::Served { .. }) => {
                    Err(ApiError::Busy("Another server has this school open. Try again in a moment."))
                }
                Err(error) => Err(error.into()),
            }
        })
        .await?;
        let opened = match opened {
            Ok(opened) => opened,
            Err(entry) => return Ok(entry),
        };
        **door = Some(opened.clone());
        self.figures().school_opened();
        let (looks, looking) = (opened.clone(), self.inner.looking.clone());
        tokio::spawn(async move {
            // One after the other: many schools may be opened at the same hour.
            let _turn = looking.acquire().await;
            looks.look_for_damage().await;
        });
        Ok(Entry::Door(opened))
    }

    /// Closes a door once nobody is behind it, or gives it back where that takes too long.
    async fn close(&self, door: Arc<Door>, patience: Duration) -> Option<Arc<Door>> {
        let began = tokio::time::Instant::now();
        let mut door = door;
        loop {
            match Arc::try_unwrap(door) {
                Ok(alone) => {
                    alone.close().await;
                    self.figures().school_closed();
                    return None;
                }
                Err(shared) if began.elapsed() >= patience => return Some(shared),
                Err(shared) => {
                    tokio::time::sleep(Duration::from_millis(2)).await;
                    door = shared;
                }
            }
        }
    }

    /// Closes what nobody has asked for in a while and what the host says something else of, and has the others hold
    /// nothing in memory that they do not need.
    async fn look_at_doors(&self, close_after: Duration) {
        let places: Vec<(SchoolName, Place)> = self.places().iter().map(|(name, place)| (name.clone(), place.clone())).collect();
        for (name, place) in places {
            // Whoever is in class is answered between one door and the next.
            tokio::task::yield_now().await;
            // Somebody is at the door: it is in use.
            let Ok(mut guard) = place.clone().try_lock_owned() else { continue };
            if let Some(door) = guard.take() {
                let idle = door.idle() >= close_after && (close_after.is_zero() || !door.is_heard());
                let ends = idle || door.is_outdated(&self.inner.schools, &name);
                if !ends && door.idle() >= SMALL_AFTER {
                    door.be_small();
                }
                *guard = if ends { self.close(door, Duration::ZERO).await } else { Some(door) };
            }
            if guard.is_none() {
                drop(guard);
                let mut places = self.places();
                // Here and in the list of places; a third one is somebody who wants in.
                if Arc::strong_count(&place) == 2 {
                    places.remove(&name);
                }
            }
        }
    }

    /// Reads the cards that were written since, for their host names.
    fn look_at_hosts(&self) -> Result<(), StoreError> {
        let schools = &self.inner.schools;
        let names = schools.names()?;
        let mut hosts = self.hosts();
        let mut cards = HashMap::new();
        for name in &names {
            let changed = schools.card_changed(name);
            let known = hosts.cards.remove(name).filter(|(at, _)| *at == changed);
            let of = known.map_or_else(|| schools.card(name).map(|card| card.hosts).unwrap_or_default(), |(_, of)| of);
            cards.insert(name.clone(), (changed, of));
        }
        // Where two cards name the same host, the first school by name has it, whatever was read first.
        let of = names.iter().rev().filter_map(|name| Some((name, &cards.get(name)?.1)));
        hosts.by_name = of.flat_map(|(name, of)| of.iter().map(|host| (host.clone(), name.clone()))).collect();
        hosts.cards = cards;
        self.figures().schools(names.len());
        Ok(())
    }

    /// Makes a copy of each school that was changed and has none of today, one after the other.
    async fn look_at_copies(&self) -> Result<(), ApiError> {
        let host = self.clone();
        let due = blocking(move || {
            let schools = &host.inner.schools;
            Ok(schools.names()?.into_iter().filter(|name| is_due(&schools.data(name))).collect::<Vec<_>>())
        })
        .await?;
        for name in due {
            let Ok(Entry::Door(door)) = self.enter(&name).await else { continue };
            let began = tokio::time::Instant::now();
            let done = door.copy_if_due().await;
            let took = began.elapsed();
            self.note(&name, done.err().map(ApiError::for_the_host).or_else(|| door.copy_failed()).map(no_copy));
            drop(door);
            // Copies have the whole day; a class that goes on beside them has not.
            tokio::time::sleep((took * REST_PER_COPY).min(LONGEST_REST)).await;
        }
        Ok(())
    }

    /// Keeps the house while the host serves, for as long as it does.
    pub(crate) async fn keep_house(self) {
        let (doors, hosts, copies) = (self.clone(), self.clone(), self);
        let doors = async move {
            loop {
                tokio::time::sleep(LOOK).await;
                doors.look_at_doors(doors.inner.close_after).await;
            }
        };
        let hosts = async move {
            loop {
                tokio::time::sleep(LOOK_AT_HOSTS).await;
                let looked = hosts.clone();
                if let Err(error) = blocking(move || Ok(looked.look_at_hosts()?)).await {
                    tracing::warn!(?error, "the folder of schools could not be read");
                }
            }
        };
        let copies = async move {
            tokio::time::sleep(FIRST_COPIES).await;
            loop {
                if let Err(error) = copies.look_at_copies().await {
                    tracing::warn!(?error, "it could not be looked for copies that are due");
                }
                tokio::time::sleep(LOOK_AT_COPIES).await;
            }
        };
        tokio::join!(doors, hosts, copies);
    }

    /// Sends every open page away: what goes on with it would hold the end of the program up.
    pub(crate) async fn end_live(&self) {
        let places: Vec<Place> = self.places().values().cloned().collect();
        for place in places {
            if let Some(door) = place.lock().await.as_ref() {
                door.end_live();
            }
        }
    }

    /// Closes all schools, waiting for what was begun.
    pub(crate) async fn close_all(&self) {
        let began = tokio::time::Instant::now();
        while !self.places().is_empty() && began.elapsed() < Duration::from_secs(10) {
            self.look_at_doors(Duration::ZERO).await;
            tokio::time::sleep(Duration::from_millis(5)).await;
        }
    }
}

/// What stands at the address of a school.
enum Entry {
    /// Its door.
    Door(Arc<Door>),
    /// It is worked on.
    Held,
    /// Nobody is let in any more.
    Archived,
    /// It is on another host.
    Moved(Option<String>),
}

fn no_copy(why: String) -> String {
    format!("no copy could be made: {why}")
}

fn not_here() -> ApiError {
    ApiError::Busy("This school is being moved. Nothing of this was begun; try again in a moment.")
}

/// The same address on another host. What is written goes there too: method and body stay.
fn sent_on(to: &str, request: &Request) -> Response {
    let path = request.uri().path_and_query().map_or("/", |path| path.as_str());
    Redirect::temporary(&format!("{}{path}", to.trim_end_matches('/'))).into_response()
}
