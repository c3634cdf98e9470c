//! Mistakes in the data files, collected.

use std::collections::BTreeSet;

/// Collects mistakes, so that all are told at once.
#[derive(Default)]
pub(super) struct Mistakes(pub(super) Vec<String>);

impl Mistakes {
    pub(super) fn unless(&mut self, sound: bool, mistake: impl FnOnce() -> String) {
        if !sound {
            self.0.push(mistake());
        }
    }

    pub(super) fn unique<'a>(&mut self, what: &str, ids: impl Iterator<Item = &'a String>) {
        let mut seen = BTreeSet::new();
        for id in ids {
            let plain = !id.is_empty() && id.bytes().all(|b| b.is_ascii_lowercase() || b.is_ascii_digit() || b == b'_');
            self.unless(plain, || format!("{what} id “{id}” is not plain lower case"));
            self.unless(seen.insert(id), || format!("{what} “{id}” is there twice"));
        }
    }
}
