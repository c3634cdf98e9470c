//! Figures of the program while it serves, as Prometheus reads them.

use std::time::Duration;

use prometheus_client::encoding::EncodeLabelSet;
use prometheus_client::encoding::text::encode;
use prometheus_client::metrics::counter::Counter;
use prometheus_client::metrics::family::Family;
use prometheus_client::metrics::gauge::Gauge;
use prometheus_client::metrics::histogram::Histogram;
use prometheus_client::registry::{Registry, Unit};

use crate::error::ApiError;

/// What a request is counted under. Routes, never addresses: an address would name a student.
#[derive(Clone, Debug, PartialEq, Eq, Hash, EncodeLabelSet)]
struct Asked {
    method: String,
    route: String,
    status: u16,
}

/// What a request's time is counted under.
#[derive(Clone, Debug, PartialEq, Eq, Hash, EncodeLabelSet)]
struct Kind {
    /// `read` or `change`.
    kind: &'static str,
}

/// Upper bounds of the times that are counted, seconds.
const SECONDS: [f64; 11] = [0.001, 0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.25, 1.0, 5.0, 20.0];

/// Figures of the program while it serves.
#[derive(Debug)]
pub(crate) struct Figures {
    registry: Registry,
    requests: Family<Asked, Counter>,
    seconds: Family<Kind, Histogram>,
    connections: Gauge,
    bytes: Gauge,
    copied: Gauge,
    copy_failed: Gauge,
    schools: Gauge,
    schools_open: Gauge,
    needing: Gauge,
}

impl Default for Figures {
    fn default() -> Self {
        let mut registry = Registry::with_prefix("yard_notch");
        let requests = Family::<Asked, Counter>::default();
        let seconds = Family::<Kind, Histogram>::new_with_constructor(|| Histogram::new(SECONDS));
        let (connections, bytes, copied, copy_failed) = (Gauge::default(), Gauge::default(), Gauge::default(), Gauge::default());
        registry.register("requests", "Requests answered, by route and status", requests.clone());
        registry.register_with_unit("answer", "Time until an answer", Unit::Seconds, seconds.clone());
        registry.register("connections", "Open connections", connections.clone());
        registry.register_with_unit(
            "school",
            "Size of the school's file with its latest changes, of many schools in all",
            Unit::Bytes,
            bytes.clone(),
        );
        registry.register(
            "latest_copy",
            "When the latest copy was made, of many schools the oldest of these, seconds since 1970; 0 without one",
            copied.clone(),
        );
        registry.register("copy_failed", "1 if the latest try to make a copy failed", copy_failed.clone());
        let (schools, schools_open, needing) = (Gauge::default(), Gauge::default(), Gauge::default());
        registry.register("schools", "Schools of this host", schools.clone());
        registry.register("schools_open", "Schools that are open", schools_open.clone());
        registry.register("schools_needing_somebody", "Schools with an error, an old copy or hardly any room", needing.clone());
        Figures { registry, requests, seconds, connections, bytes, copied, copy_failed, schools, schools_open, needing }
    }
}

/// A connection, while it is open.
pub(crate) struct Connected(Gauge);

impl Drop for Connected {
    fn drop(&mut self) {
        self.0.dec();
    }
}

impl Figures {
    /// So many schools are on this host.
    pub(crate) fn schools(&self, count: usize) {
        self.schools.set(i64::try_from(count).unwrap_or(i64::MAX));
    }

    /// So many schools need somebody.
    pub(crate) fn needing_somebody(&self, count: usize) {
        self.needing.set(i64::try_from(count).unwrap_or(i64::MAX));
    }

    /// A school was opened.
    pub(crate) fn school_opened(&self) {
        self.schools_open.inc();
    }

    /// A school was closed.
    pub(crate) fn school_closed(&self) {
        self.schools_open.dec();
    }

    /// Counts a connection until it is dropped.
    pub(crate) fn connected(&self) -> Connected {
        self.connections.inc();
        Connected(self.connections.clone())
    }

    /// Counts an answer and its time.
    pub(crate) fn answered(&self, kind: &'static str, method: &str, route: String, status: u16, took: Duration) {
        self.seconds.get_or_create(&Kind { kind }).observe(took.as_secs_f64());
        self.requests.get_or_create(&Asked { method: method.to_owned(), route, status }).inc();
    }

    /// All figures as Prometheus reads them, with what is known of the school at this moment: the size of its file in
    /// bytes, when its latest copy was made in seconds since 1970 (0 for none), whether the latest try failed.
    pub(crate) fn text(&self, bytes: u64, latest_copy: i64, copy_failed: bool) -> Result<String, ApiError> {
        self.bytes.set(i64::try_from(bytes).unwrap_or(i64::MAX));
        self.copied.set(latest_copy);
        self.copy_failed.set(i64::from(copy_failed));
        let mut text = String::new();
        encode(&mut text, &self.registry).map_err(|error| ApiError::Internal(error.to_string()))?;
        Ok(text)
    }
}
