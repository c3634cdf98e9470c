//! Where schools are that have no host name of their own.

/// What their addresses begin with, before the name of the school.
pub(super) const UNDER: &str = "/s/";
