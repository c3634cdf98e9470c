//! The instructor's passphrase, and who is signed in.
//!
//! Without a passphrase the program listens to this machine only and asks for none. With one,
//! everything but signing in needs a session cookie.

use std::collections::HashMap;
use std::num::NonZeroU32;
use std::sync::{Mutex, PoisonError};
use std::time::{Duration, Instant};

use argon2::Argon2;
use argon2::password_hash::{PasswordHash, PasswordHasher, PasswordVerifier, SaltString};
use axum::http::{HeaderMap, header};
use governor::{DefaultDirectRateLimiter, Quota, RateLimiter};
use rand::TryRngCore;

use crate::error::ApiError;

/// Setting that holds the passphrase's hash.
pub const PASSPHRASE_KEY: &str = "passphrase_argon2id";

/// Fewest characters of a passphrase.
pub const MIN_PASSPHRASE: usize = 10;

/// Most characters that are hashed.
const MAX_PASSPHRASE: usize = 200;

/// Name of the cookie.
const COOKIE: &str = "yard_notch_sign_in";

/// How long a signed-in browser stays signed in: a long teaching day.
const LASTS: Duration = Duration::from_secs(14 * 3600);

/// Tries a minute, over all callers: there is one instructor's passphrase to guess.
const TRIES_A_MINUTE: NonZeroU32 = NonZeroU32::new(6).expect("six is not zero");

/// Hashes a passphrase with argon2id and a fresh salt.
///
/// # Errors
/// A passphrase of fewer than [`MIN_PASSPHRASE`] or more than 200 characters, in words.
pub fn hash_passphrase(passphrase: &str) -> Result<String, String> {
    let length = passphrase.chars().count();
    if !(MIN_PASSPHRASE..=MAX_PASSPHRASE).contains(&length) {
        return Err(format!("the passphrase has {length} characters; allowed: {MIN_PASSPHRASE} to {MAX_PASSPHRASE}"));
    }
    let salt =
        SaltString::encode_b64(&random_bytes::<16>().map_err(|error| error.to_string())?).map_err(|error| error.to_string())?;
    Argon2::default().hash_password(passphrase.as_bytes(), &salt).map(|hash| hash.to_string()).map_err(|error| error.to_string())
}

fn is_passphrase(passphrase: &str, hash: &str) -> bool {
    passphrase.len() <= 4 * MAX_PASSPHRASE
        && PasswordHash::new(hash).is_ok_and(|hash| Argon2::default().verify_password(passphrase.as_bytes(), &hash).is_ok())
}

fn random_bytes<const N: usize>() -> Result<[u8; N], rand::rand_core::OsError> {
    let mut bytes = [0; N];
    rand::rngs::OsRng.try_fill_bytes(&mut bytes)?;
    Ok(bytes)
}

/// A random value in hexadecimal.
pub(crate) fn random_token() -> Result<String, ApiError> {
    let bytes = random_bytes::<24>().map_err(|error| ApiError::Internal(error.to_string()))?;
    Ok(bytes.iter().map(|byte| format!("{byte:02x}")).collect())
}

/// Browsers that are signed in, and how often it was tried. Lost when the program stops.
#[derive(Debug)]
pub(crate) struct SignIns {
    until: Mutex<HashMap<String, Instant>>,
    tries: DefaultDirectRateLimiter,
}

impl Default for SignIns {
    fn default() -> Self {
        SignIns { until: Mutex::default(), tries: RateLimiter::direct(Quota::per_minute(TRIES_A_MINUTE)) }
    }
}

impl SignIns {
    /// Checks a passphrase and signs a browser in; the result is the cookie to set.
    ///
    /// # Errors
    /// Too many tries, or a wrong passphrase.
    pub(crate) fn sign_in(&self, passphrase: &str, hash: &str) -> Result<String, ApiError> {
        self.tries.check().map_err(|_| ApiError::TooManyTries)?;
        if !is_passphrase(passphrase, hash) {
            return Err(ApiError::WrongPassphrase);
        }
        let token = random_token()?;
        let now = Instant::now();
        let mut until = self.until.lock().unwrap_or_else(PoisonError::into_inner);
        until.retain(|_, end| *end > now);
        until.insert(token.clone(), now + LASTS);
        Ok(format!("{COOKIE}={token}; HttpOnly; SameSite=Strict; Path=/; Max-Age={}", LASTS.as_secs()))
    }

    /// Signs a browser out; the result is the cookie that takes the old one away.
    pub(crate) fn sign_out(&self, headers: &HeaderMap) -> String {
        if let Some(token) = token(headers) {
            self.until.lock().unwrap_or_else(PoisonError::into_inner).remove(token);
        }
        format!("{COOKIE}=; HttpOnly; SameSite=Strict; Path=/; Max-Age=0")
    }

    /// Whether the request comes from a browser that is signed in.
    pub(crate) fn is_signed_in(&self, headers: &HeaderMap) -> bool {
        let until = self.until.lock().unwrap_or_else(PoisonError::into_inner);
        token(headers).and_then(|token| until.get(token)).is_some_and(|end| *end > Instant::now())
    }
}

fn token(headers: &HeaderMap) -> Option<&str> {
    headers
        .get_all(header::COOKIE)
        .iter()
        .filter_map(|value| value.to_str().ok())
        .flat_map(|cookies| cookies.split(';'))
        .find_map(|cookie| cookie.trim().strip_prefix(COOKIE)?.strip_prefix('='))
}
