//! How the program is reached.

use std::net::{IpAddr, SocketAddr};
use std::sync::Arc;

use super::addresses::{local_name, of_this_machine};
use super::tls::Tls;

/// Where the page is that tells how a device comes to trust the school.
pub(super) const TRUST_PATH: &str = "/trust";

/// How the program is reached.
#[derive(Clone, Debug)]
pub struct Reach {
    /// The address that it listens to.
    pub listen: SocketAddr,
    /// TLS, where it is spoken.
    pub tls: Option<Arc<Tls>>,
    /// Requests come by a proxy that speaks TLS before it, and says by whom they were sent.
    pub proxied: bool,
    /// One of the schools of a host: everybody signs in, wherever from.
    pub of_many: bool,
    /// What the addresses of the school begin with, without a slash at the end; empty where it has the host to itself.
    pub path: String,
}

impl Default for Reach {
    fn default() -> Self {
        Reach { listen: SocketAddr::from(([127, 0, 0, 1], 7411)), tls: None, proxied: false, of_many: false, path: String::new() }
    }
}

impl Reach {
    /// Requests come over TLS alone.
    pub(crate) fn is_secure(&self) -> bool {
        self.tls.is_some() || self.proxied
    }

    /// It is for this machine only, and nobody need sign in.
    pub(crate) fn is_loopback(&self) -> bool {
        self.listen.ip().is_loopback() && !self.proxied && !self.of_many
    }

    /// Names and addresses under which other devices reach it, the best first; none where it listens to this machine
    /// only, or where its certificate is for none of them.
    pub(crate) fn names(&self) -> Vec<String> {
        if self.is_loopback() {
            return Vec::new();
        }
        let found = self.found();
        let Some(tls) = &self.tls else { return found };
        let here = |name: &String| name == "localhost" || name.starts_with("*.");
        // What is named is what somebody wants to be opened; of the addresses those that it listens to.
        let (named, addresses): (Vec<String>, Vec<String>) =
            tls.names().into_iter().filter(|name| !here(name)).partition(|name| name.parse::<IpAddr>().is_err());
        let (local, named): (Vec<String>, Vec<String>) = named.into_iter().partition(|name| found.contains(name));
        let reached = found.into_iter().filter(|name| addresses.contains(name));
        named.into_iter().chain(reached).chain(local).collect()
    }

    /// Addresses of this machine that it listens to, IPv4 first, and the machine's name.
    fn found(&self) -> Vec<String> {
        let ip = self.listen.ip();
        if !ip.is_unspecified() {
            return vec![ip.to_string()];
        }
        let mut found: Vec<IpAddr> = of_this_machine().into_iter().filter(|address| !address.is_loopback()).collect();
        found.retain(|address| ip.is_ipv6() || address.is_ipv4());
        found.sort_by_key(|address| (address.is_ipv6(), *address));
        found.iter().map(ToString::to_string).chain(local_name()).collect()
    }

    /// The address to open on this machine itself.
    pub fn first_address(&self) -> String {
        let given = self.tls.as_ref().filter(|tls| tls.authority().is_none());
        let name = match (given, self.listen.ip()) {
            (Some(_), ip) => self.names().into_iter().next().unwrap_or_else(|| ip.to_string()),
            (None, ip) if ip.is_unspecified() => "localhost".to_owned(),
            (None, ip) => ip.to_string(),
        };
        self.address(&name, self.is_secure())
    }

    /// The address that other devices are told, where they reach it: the page about trust, or the program itself.
    pub fn for_others(&self) -> Option<String> {
        let name = self.names().into_iter().next()?;
        let own = self.tls.as_ref().is_some_and(|tls| tls.authority().is_some());
        Some(if own { format!("{}{TRUST_PATH}", self.address(&name, false)) } else { self.address(&name, self.is_secure()) })
    }

    /// The whole address of the program under a name.
    pub(crate) fn address(&self, name: &str, secure: bool) -> String {
        let name = if name.contains(':') { format!("[{name}]") } else { name.to_owned() };
        let (scheme, usual) = if secure { ("https", 443) } else { ("http", 80) };
        let port = self.listen.port();
        if port == usual { format!("{scheme}://{name}") } else { format!("{scheme}://{name}:{port}") }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn an_address_is_written_as_a_browser_takes_it() {
        let reach = |listen: &str| Reach { listen: listen.parse().unwrap(), ..Reach::default() };
        assert_eq!(reach("0.0.0.0:7411").address("10.0.0.4", true), "https://10.0.0.4:7411");
        assert_eq!(reach("0.0.0.0:443").address("10.0.0.4", true), "https://10.0.0.4");
        assert_eq!(reach("[::]:80").address("fd00::4", false), "http://[fd00::4]");
        assert_eq!(reach("127.0.0.1:7411").names(), Vec::<String>::new());
        assert_eq!(reach("192.168.4.2:7411").names(), ["192.168.4.2"]);
    }
}
