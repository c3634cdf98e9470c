//! Secrets that nobody guesses, and what is kept of them.

use rand::TryRngCore;
use sha2::{Digest, Sha256};

use crate::error::ApiError;

/// Random bytes of the machine.
pub(crate) fn random_bytes<const N: usize>() -> Result<[u8; N], rand::rand_core::OsError> {
    let mut bytes = [0; N];
    rand::rngs::OsRng.try_fill_bytes(&mut bytes)?;
    Ok(bytes)
}

/// A random value in hexadecimal.
pub(crate) fn random_token() -> Result<String, ApiError> {
    let bytes = random_bytes::<24>().map_err(|error| ApiError::Internal(error.to_string()))?;
    Ok(bytes.iter().map(|byte| format!("{byte:02x}")).collect())
}

/// SHA-256 of a secret, in hexadecimal: what is kept of it.
pub(crate) fn sha256(secret: &str) -> String {
    Sha256::digest(secret).iter().map(|byte| format!("{byte:02x}")).collect()
}
