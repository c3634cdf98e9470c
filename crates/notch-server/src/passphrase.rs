//! Passphrases: how they are kept, how they are tried, and what a browser shows to be known.
//!
//! While nobody has a passphrase the program listens to this machine only and asks for none. Once somebody has,
//! everything but signing in needs a session cookie.

use std::collections::{HashMap, HashSet};
use std::net::{IpAddr, Ipv6Addr};
use std::sync::atomic::{AtomicBool, AtomicUsize, Ordering};
use std::sync::{Arc, Mutex, PoisonError};
use std::time::{Duration, Instant};

use argon2::Argon2;
use argon2::password_hash::{PasswordHash, PasswordHasher, PasswordVerifier, SaltString};
use axum::http::{HeaderMap, header};
use base64::Engine;
use base64::prelude::BASE64_URL_SAFE_NO_PAD as URL_SAFE_NO_PAD;
use notch_core::Problem;
use notch_core::staff::check_name;
use tokio::sync::Semaphore;

use crate::error::ApiError;
use crate::secret::{random_bytes, random_token, sha256};
use crate::secure::Reach;
use crate::turns::blocking;

/// Fewest characters of a passphrase.
pub const MIN_PASSPHRASE: usize = 10;

/// Most characters that are hashed.
const MAX_PASSPHRASE: usize = 200;

/// Name of the cookie.
const COOKIE: &str = "yard_notch_sign_in";

/// How long a signed-in browser stays signed in: a long teaching day.
pub(crate) const LASTS: Duration = Duration::from_secs(14 * 3600);

/// Name of the cookie by which a browser that signed in before is known again.
const DEVICE_COOKIE: &str = "yard_notch_device";

/// Name of the cookie with the name that was chosen on a device where nobody signs in.
const NAME_COOKIE: &str = "yard_notch_name";

/// What every cookie says beside its value: for which school, for how long, and over TLS that it is sent over nothing
/// else.
fn kept(lasts: Duration, reach: &Reach) -> String {
    let secure = if reach.is_secure() { "; Secure" } else { "" };
    format!("HttpOnly; SameSite=Strict; Path={}/; Max-Age={}{secure}", reach.path, lasts.as_secs())
}

/// The hash of nobody's passphrase.
const NOBODYS: &str = "$argon2id$v=19$m=19456,t=2,p=1$bm9ib2R5IG5vYm9keQ$1bDtbKLSBc5YY3jBrNFIhTpm5mMFJxXfcV4tqsRPUOA";

/// How long a browser is known: a year of teaching.
const KNOWN: Duration = Duration::from_secs(365 * 24 * 3600);

/// Wrong tries that cost nothing: a finger slips.
const FREE_TRIES: u32 = 3;

/// The pause after the first wrong try that is not free; it doubles from there.
const FIRST_PAUSE: Duration = Duration::from_millis(125);

/// The longest pause: whoever shares a line with one who guesses still gets a turn within seconds.
const LONGEST_PAUSE: Duration = Duration::from_secs(1);

/// After so long without a try, the wrong ones are forgotten.
const FORGOTTEN: Duration = Duration::from_secs(15 * 60);

/// Tries of one caller that may stand in line.
const MOST_STANDING: usize = 4;

/// Lines that are kept, and browsers that are known.
const MOST_LINES: usize = 4096;

/// Passphrases that are hashed at the same time: each takes 19 MB.
const HASHED_AT_ONCE: usize = 2;

/// What is wrong with a passphrase, if anything, at a field.
pub(crate) fn check_passphrase(passphrase: &str) -> Option<Problem> {
    let length = passphrase.chars().count();
    let seen = passphrase.chars().filter(|c| !c.is_whitespace() && !c.is_control()).count();
    let allowed = format!("{MIN_PASSPHRASE} to {MAX_PASSPHRASE} characters");
    let has = if !(MIN_PASSPHRASE..=MAX_PASSPHRASE).contains(&length) {
        format!("{length} characters")
    } else if seen < MIN_PASSPHRASE {
        format!("{seen} characters that are no blanks")
    } else {
        return None;
    };
    let sentence = format!("The passphrase has {has}; allowed: {MIN_PASSPHRASE} to {MAX_PASSPHRASE}.");
    Some(Problem::said("/passphrase", "Passphrase", "", sentence.into(), allowed))
}

/// Hashes a passphrase with argon2id and a fresh salt.
///
/// # Errors
/// A passphrase of fewer than [`MIN_PASSPHRASE`] or more than 200 characters, in words.
pub fn hash_passphrase(passphrase: &str) -> Result<String, String> {
    if let Some(problem) = check_passphrase(passphrase) {
        return Err(problem.message);
    }
    let salt =
        SaltString::encode_b64(&random_bytes::<16>().map_err(|error| error.to_string())?).map_err(|error| error.to_string())?;
    Argon2::default().hash_password(passphrase.as_bytes(), &salt).map(|hash| hash.to_string()).map_err(|error| error.to_string())
}

fn is_passphrase(passphrase: &str, hash: &str) -> bool {
    passphrase.len() <= 4 * MAX_PASSPHRASE
        && PasswordHash::new(hash).is_ok_and(|hash| Argon2::default().verify_password(passphrase.as_bytes(), &hash).is_ok())
}

/// Callers that try to sign in. Lost when the program stops.
#[derive(Debug)]
pub(crate) struct SignIns {
    /// Somebody signed in here once: from then on nothing is open.
    was_set: AtomicBool,
    lines: Lines,
    /// Hashing is costly on purpose: the same few for all schools of a host.
    hashing: Arc<Semaphore>,
}

impl Default for SignIns {
    fn default() -> Self {
        SignIns::sharing(hashed_at_once())
    }
}

/// As many passphrases as are hashed at the same time.
pub(crate) fn hashed_at_once() -> Arc<Semaphore> {
    Arc::new(Semaphore::new(HASHED_AT_ONCE))
}

impl SignIns {
    /// Hashes in turn with others.
    pub(crate) fn sharing(hashing: Arc<Semaphore>) -> SignIns {
        SignIns { was_set: AtomicBool::default(), lines: Lines::default(), hashing }
    }

    /// Checks a passphrase in the caller's turn; where there is no such person it takes as long. The result is the
    /// cookie by which the browser is known again.
    ///
    /// # Errors
    /// Too many tries in the caller's line, or a wrong passphrase.
    pub(crate) async fn check(
        &self,
        caller: Caller,
        passphrase: String,
        hash: Option<String>,
        reach: &Reach,
    ) -> Result<String, ApiError> {
        let line = self.lines.of(caller)?;
        let _place = line.stand()?;
        let mut tries = line.turn.lock().await;
        tokio::time::sleep(tries.pause(Instant::now())).await;
        let one_of_few = self.hashing.acquire().await;
        let found = blocking(move || {
            let known = hash.is_some();
            Ok(is_passphrase(&passphrase, hash.as_deref().unwrap_or(NOBODYS)) && known)
        })
        .await?;
        drop(one_of_few);
        if !found {
            tries.was_wrong(Instant::now());
            return Err(ApiError::WrongPassphrase);
        }
        *tries = Tries::default();
        Ok(self.known_again(random_token()?, reach))
    }

    /// Hashes a new passphrase, a few at a time.
    ///
    /// # Errors
    /// One that is too short or too long, at its field.
    pub(crate) async fn hash(&self, passphrase: String) -> Result<String, ApiError> {
        ApiError::unless_empty(check_passphrase(&passphrase).into_iter().collect())?;
        let _one_of_few = self.hashing.acquire().await;
        blocking(move || hash_passphrase(&passphrase).map_err(ApiError::Internal)).await
    }

    /// Remembers a browser by a secret of its own; the result is the cookie to set.
    fn known_again(&self, device: String, reach: &Reach) -> String {
        let cookie = format!("{DEVICE_COOKIE}={device}; {}", kept(KNOWN, reach));
        self.lines.know(device);
        cookie
    }

    /// Notes whether somebody signs in here.
    ///
    /// # Errors
    /// There was somebody, and the passphrase is gone: what it guarded stays closed.
    pub(crate) fn noted(&self, somebody: bool) -> Result<(), ApiError> {
        if somebody {
            self.was_set.store(true, Ordering::Relaxed);
        } else if self.was_set.load(Ordering::Relaxed) {
            return Err(ApiError::Forbidden(
                "The passphrases of this school have vanished from its file. Stop the program, set one, start it again.",
            ));
        }
        Ok(())
    }
}

/// The cookie that signs a browser in with a secret.
pub(crate) fn session_cookie(token: &str, reach: &Reach) -> String {
    format!("{COOKIE}={token}; {}", kept(LASTS, reach))
}

/// The cookie that takes a session's away.
pub(crate) fn no_session_cookie(reach: &Reach) -> String {
    format!("{COOKIE}=; {}", kept(Duration::ZERO, reach))
}

/// The cookie with the name that was chosen on a device where nobody signs in.
pub(crate) fn name_cookie(name: &str, reach: &Reach) -> String {
    format!("{NAME_COOKIE}={}; {}", URL_SAFE_NO_PAD.encode(name), kept(KNOWN, reach))
}

/// The name that was chosen on this device, if one was.
pub(crate) fn name_on_device(headers: &HeaderMap) -> Option<String> {
    let name = String::from_utf8(URL_SAFE_NO_PAD.decode(cookie(headers, NAME_COOKIE)?).ok()?).ok()?;
    check_name(&name).is_none().then_some(name)
}

/// SHA-256 of the secret by which a browser is signed in.
pub(crate) fn session_token(headers: &HeaderMap) -> Option<String> {
    cookie(headers, COOKIE).map(sha256)
}

/// Who tries.
#[derive(Clone, Debug)]
pub(crate) struct Caller {
    /// What a browser shows that signed in before.
    device: Option<String>,
    /// An IPv4 address, or the network of an IPv6 address; none where the connection tells none.
    address: Option<IpAddr>,
}

impl Caller {
    /// Who sends this request.
    pub(crate) fn of(headers: &HeaderMap, address: Option<IpAddr>) -> Caller {
        let network = |address: IpAddr| match address.to_canonical() {
            IpAddr::V6(address) => {
                let [a, b, c, d, ..] = address.segments();
                IpAddr::V6(Ipv6Addr::new(a, b, c, d, 0, 0, 0, 0))
            }
            address @ IpAddr::V4(_) => address,
        };
        Caller { device: cookie(headers, DEVICE_COOKIE).map(str::to_owned), address: address.map(network) }
    }
}

/// Whose line it is.
#[derive(Clone, Debug, PartialEq, Eq, Hash)]
enum LineOf {
    /// A browser that is known.
    Device(String),
    /// Everybody else at an address.
    Address(Option<IpAddr>),
}

/// The callers' lines: who guesses makes nobody else wait.
#[derive(Debug, Default)]
struct Lines {
    open: Mutex<HashMap<LineOf, Arc<Line>>>,
    known: Mutex<HashSet<String>>,
}

/// One caller's tries, one after the other.
#[derive(Debug, Default)]
struct Line {
    turn: tokio::sync::Mutex<Tries>,
    standing: AtomicUsize,
}

/// Wrong tries in a row.
#[derive(Debug, Default)]
struct Tries {
    wrong: u32,
    last: Option<Instant>,
}

impl Lines {
    /// Remembers a browser, so that it need not stand in the line of its address.
    fn know(&self, device: String) {
        let mut known = self.known.lock().unwrap_or_else(PoisonError::into_inner);
        if known.len() < MOST_LINES {
            known.insert(device);
        }
    }

    /// The line of a caller: of the browser where it is known, or else of its address.
    fn of(&self, caller: Caller) -> Result<Arc<Line>, ApiError> {
        let is_known = |device: &String| self.known.lock().unwrap_or_else(PoisonError::into_inner).contains(device);
        let line_of = match caller.device.filter(is_known) {
            Some(device) => LineOf::Device(device),
            None => LineOf::Address(caller.address),
        };
        let mut open = self.open.lock().unwrap_or_else(PoisonError::into_inner);
        if open.len() >= MOST_LINES && !open.contains_key(&line_of) {
            let now = Instant::now();
            open.retain(|_, line| line.turn.try_lock().map_or(true, |tries| !tries.is_forgotten(now)));
            if open.len() >= MOST_LINES {
                return Err(ApiError::TooManyTries(FORGOTTEN.as_secs() as u32));
            }
        }
        Ok(open.entry(line_of).or_default().clone())
    }
}

/// A place in a line, given up when it is dropped.
struct Place<'l>(&'l Line);

impl Drop for Place<'_> {
    fn drop(&mut self) {
        self.0.standing.fetch_sub(1, Ordering::Relaxed);
    }
}

impl Line {
    fn stand(&self) -> Result<Place<'_>, ApiError> {
        let place = Place(self);
        if self.standing.fetch_add(1, Ordering::Relaxed) >= MOST_STANDING {
            return Err(ApiError::TooManyTries(LONGEST_PAUSE.as_secs() as u32));
        }
        Ok(place)
    }
}

impl Tries {
    /// How long the next try waits: nothing at first, then twice as long after each wrong one.
    fn pause(&self, now: Instant) -> Duration {
        let Some(last) = self.last.filter(|_| !self.is_forgotten(now) && self.wrong > FREE_TRIES) else { return Duration::ZERO };
        let pause = FIRST_PAUSE.saturating_mul(1 << (self.wrong - FREE_TRIES - 1).min(8)).min(LONGEST_PAUSE);
        pause.saturating_sub(now.duration_since(last))
    }

    fn was_wrong(&mut self, now: Instant) {
        self.wrong = if self.is_forgotten(now) { 1 } else { self.wrong.saturating_add(1) };
        self.last = Some(now);
    }

    fn is_forgotten(&self, now: Instant) -> bool {
        self.last.is_none_or(|last| now.duration_since(last) > FORGOTTEN)
    }
}

fn cookie<'h>(headers: &'h HeaderMap, name: &str) -> Option<&'h str> {
    headers
        .get_all(header::COOKIE)
        .iter()
        .filter_map(|value| value.to_str().ok())
        .flat_map(|cookies| cookies.split(';'))
        .find_map(|cookie| cookie.trim().strip_prefix(name)?.strip_prefix('='))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn nobodys_passphrase_takes_as_long_as_somebodys() {
        let (nobodys, somebodys) = (PasswordHash::new(NOBODYS).unwrap(), hash_passphrase("lantern on the quay").unwrap());
        let somebodys = PasswordHash::new(&somebodys).unwrap();
        assert_eq!((nobodys.algorithm, nobodys.params.to_string()), (somebodys.algorithm, somebodys.params.to_string()));
        assert_eq!(nobodys.hash.unwrap().len(), somebodys.hash.unwrap().len());
    }

    fn wrong(times: u32, now: Instant) -> Tries {
        let mut tries = Tries::default();
        (0..times).for_each(|_| tries.was_wrong(now));
        tries
    }

    #[test]
    fn the_pause_grows_from_the_fourth_wrong_try_to_its_longest_and_passes() {
        let now = Instant::now();
        let pauses: Vec<u128> = (0..10).map(|times| wrong(times, now).pause(now).as_millis()).collect();
        assert_eq!(pauses, [0, 0, 0, 0, 125, 250, 500, 1000, 1000, 1000]);
        let tries = wrong(6, now);
        assert_eq!(tries.pause(now + Duration::from_millis(200)).as_millis(), 300);
        assert_eq!(tries.pause(now + FORGOTTEN + Duration::from_secs(1)), Duration::ZERO);
    }

    #[test]
    fn who_guesses_fills_the_own_line_and_no_other() {
        let lines = Lines::default();
        let of = |last: u8| lines.of(at([10, 0, 0, last], None)).unwrap();
        let (guesser, honest) = (of(1), of(2));
        let places: Vec<_> = (0..MOST_STANDING).map(|_| guesser.stand().unwrap()).collect();
        assert!(matches!(guesser.stand(), Err(ApiError::TooManyTries(_))));
        assert!(honest.stand().is_ok());
        drop(places);
        assert!(of(1).stand().is_ok(), "the line has moved on");
    }

    fn at(address: [u8; 4], device: Option<&str>) -> Caller {
        Caller { device: device.map(str::to_owned), address: Some(IpAddr::from(address)) }
    }

    #[test]
    fn a_known_browser_has_its_own_line_and_an_invented_cookie_stands_with_its_address() {
        let lines = Lines::default();
        lines.know("known".into());
        let line = |device| lines.of(at([10, 0, 0, 1], device)).unwrap();
        assert!(Arc::ptr_eq(&line(Some("known")), &line(Some("known"))));
        assert!(!Arc::ptr_eq(&line(Some("known")), &line(None)), "it need not wait with those who guess there");
        assert!(Arc::ptr_eq(&line(Some("invented")), &line(None)));
    }

    #[test]
    fn an_address_of_ipv6_stands_with_its_network() {
        let of = |text: &str| Caller::of(&HeaderMap::new(), Some(text.parse().unwrap())).address;
        assert_eq!(of("2001:db8:1:2::1"), of("2001:db8:1:2:ffff::9"));
        assert_ne!(of("2001:db8:1:2::1"), of("2001:db8:1:3::1"));
        assert_eq!(of("::ffff:10.0.0.1"), of("10.0.0.1"));
    }

    #[test]
    fn lines_are_bounded_and_those_at_rest_make_room() {
        let lines = Lines::default();
        let address = |number: u32| at(number.to_be_bytes(), None);
        for number in 0..MOST_LINES as u32 {
            lines.of(address(number)).unwrap();
        }
        lines.of(address(u32::MAX)).unwrap();
        assert!(lines.open.lock().unwrap().len() <= MOST_LINES);
    }

    #[test]
    fn blanks_make_no_passphrase() {
        assert!(hash_passphrase("          ").is_err());
        assert!(hash_passphrase("a b c d e ").is_err());
        assert!(hash_passphrase("lantern on the quay").is_ok());
    }
}
