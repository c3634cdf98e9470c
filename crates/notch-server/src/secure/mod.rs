//! The way to the program that nobody on the network can listen to: TLS with the school's own certificate or a
//! given one, and how a device comes to trust it.

mod addresses;
mod error;
mod given;
mod own;
mod pages;
mod reach;
mod tls;

pub use error::TlsError;
pub(crate) use pages::{pages, pointer};
pub use reach::Reach;
pub use tls::Tls;
