//! Under which names and addresses this machine is reached.

use std::collections::BTreeSet;
use std::net::IpAddr;

/// The addresses of this machine at this moment.
pub(super) fn of_this_machine() -> BTreeSet<IpAddr> {
    let found = if_addrs::get_if_addrs().unwrap_or_default().into_iter().map(|interface| interface.ip());
    // An IPv6 address of one link alone needs the link's name too, which no certificate has.
    found.filter(|address| !matches!(address, IpAddr::V6(v6) if v6.is_unicast_link_local())).collect()
}

/// The name that the networks of small rooms give this machine.
pub(super) fn local_name() -> Option<String> {
    let name = gethostname::gethostname().into_string().ok()?.to_lowercase();
    let first = name.split('.').next().filter(|first| !first.is_empty() && *first != "localhost")?;
    let sound = first.bytes().all(|byte| byte.is_ascii_alphanumeric() || byte == b'-');
    sound.then(|| format!("{first}.local"))
}

/// Whether a certificate for `names` is one for `name`, a star standing for one part.
pub(super) fn covers(names: &[String], name: &str) -> bool {
    names.iter().any(|each| match each.strip_prefix("*.") {
        Some(rest) => name.split_once('.').is_some_and(|(first, end)| !first.is_empty() && end.eq_ignore_ascii_case(rest)),
        None => each.eq_ignore_ascii_case(name),
    })
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_star_stands_for_one_part_of_a_name() {
        let names = ["school.example.org".to_owned(), "*.galley.example".to_owned(), "10.0.0.4".to_owned()];
        assert!(covers(&names, "School.example.org") && covers(&names, "kitchen.galley.example") && covers(&names, "10.0.0.4"));
        assert!(!covers(&names, "galley.example") && !covers(&names, "a.b.galley.example") && !covers(&names, "example.org"));
    }
}
