//! The schools of a host: made, listed, renamed, closed, taken out, moved.

use std::path::{Path, PathBuf};

use clap::Subcommand;
use notch_core::school::{HostName, SchoolCard, SchoolName, Standing};
use notch_core::staff::check_name;
use notch_server::{NewInvitation, new_invitation};
use notch_store::{Copies, DATABASE_FILE, Schools};

use crate::commands::{Done, export};

#[derive(Debug, Subcommand)]
pub(crate) enum Command {
    /// Make a school, with a link by which its first instructor chooses a passphrase.
    Add {
        /// Its folder and its address: a to z, 0 to 9, hyphens; 1 to 40 characters.
        name: SchoolName,
        /// What it is called in full.
        #[arg(long, default_value = "")]
        title: String,
        /// Name of its first instructor.
        #[arg(long, value_name = "NAME")]
        instructor: String,
        /// Host name under which it is reached, instead of /s/NAME/; may be given several times.
        #[arg(long, value_name = "HOST")]
        host: Vec<HostName>,
    },
    /// List the schools.
    List,
    /// Give a school another name, another title or other host names.
    Rename {
        /// The school.
        name: SchoolName,
        /// Its new name; its address changes with it.
        #[arg(long, value_name = "NAME")]
        to: Option<SchoolName>,
        /// What it is called in full.
        #[arg(long)]
        title: Option<String>,
        /// Host name under which it is reached, in place of those it has; may be given several times.
        #[arg(long, value_name = "HOST")]
        host: Option<Vec<HostName>>,
    },
    /// Say how much a school may take.
    Limit {
        /// The school.
        name: SchoolName,
        /// Size of its file from which on nothing more is written down, MB.
        #[arg(long, value_name = "MB", value_parser = clap::value_parser!(u64).range(1..=1_000_000))]
        megabytes: Option<u64>,
        /// Requests in a second, lastingly.
        #[arg(long, value_name = "N", value_parser = clap::value_parser!(u32).range(1..=100_000))]
        requests: Option<u32>,
    },
    /// Let nobody in to a school any more; its records stay.
    Archive {
        /// The school.
        name: SchoolName,
        /// Let people in again.
        #[arg(long)]
        undo: bool,
    },
    /// Write a whole school as JSON.
    Export {
        /// The school.
        name: SchoolName,
        /// File to write; standard output if left out.
        file: Option<PathBuf>,
    },
    /// Move a school to the folder of another host while both are served.
    Move {
        /// The school.
        name: SchoolName,
        /// Folder of the other host's schools, as it is reached from here.
        to: PathBuf,
        /// Address of the school on the other host, where whoever asks here is sent on; left out where a proxy before
        /// both hosts knows the way.
        #[arg(long, value_name = "URL")]
        address: Option<String>,
    },
}

pub(crate) fn run(folder: &Path, command: Command) -> Done {
    let schools = Schools::in_folder(folder)?;
    match command {
        Command::Add { name, title, instructor, host } => add(&schools, &name, title, &instructor, host),
        Command::List => list(&schools),
        Command::Rename { name, to, title, host } => rename(&schools, &name, to, title, host),
        Command::Limit { name, megabytes, requests } => {
            let card = schools.change(&name, |card| {
                card.limits.most_bytes = megabytes.map_or(card.limits.most_bytes, |most| most * 1_000_000);
                card.limits.requests_a_second = requests.unwrap_or(card.limits.requests_a_second);
            })?;
            let (most, requests) = (card.limits.most_bytes / 1_000_000, card.limits.requests_a_second);
            println!("{name} may have {most} MB and {requests} requests in a second");
            Ok(())
        }
        Command::Archive { name, undo } => {
            schools.archive(&name, !undo)?;
            println!("{name}: {}", if undo { "people are let in again" } else { "nobody is let in any more; its records stay" });
            Ok(())
        }
        Command::Export { name, file } => {
            schools.card(&name)?;
            export(&schools.data(&name), file.as_deref())
        }
        Command::Move { name, to, address } => move_to(&schools, &name, &to, address),
    }
}

fn add(schools: &Schools, name: &SchoolName, title: String, instructor: &str, hosts: Vec<HostName>) -> Done {
    SchoolCard::check_title(&title)?;
    if let Some(problem) = check_name(instructor) {
        return Err(problem.message.into());
    }
    let NewInvitation { path, kept, until } = new_invitation().map_err(|error| error.document().detail)?;
    let card = SchoolCard { title, hosts, ..SchoolCard::default() };
    schools
        .add(name, &card, |store| store.write(|writer| writer.invite(writer.instructor_named(instructor)?.id, &kept, until)))?;
    let before = card.hosts.first().map_or_else(|| format!("/s/{name}"), |host| format!("https://{host}"));
    println!("Made {}", schools.data(name).display());
    println!("{instructor} chooses a passphrase at {before}{path}");
    println!("The link works once, until {}; give it to nobody else.", until.strftime("%-d %b %Y"));
    Ok(())
}

fn list(schools: &Schools) -> Done {
    let names = schools.names()?;
    println!("{:<40} {:>9}  {:<10}  {:<12}  title", "name", "size", "copy of", "now");
    for name in names {
        let data = schools.data(&name);
        let bytes = std::fs::metadata(data.join(DATABASE_FILE)).map_or(0, |about| about.len());
        let newest = Copies::of(&data).list().ok().and_then(|copies| copies.first().map(|copy| copy.at));
        let copied = newest.map_or_else(|| "none".to_owned(), |at| at.strftime("%Y-%m-%d").to_string());
        let (standing, title) = match schools.card(&name) {
            Ok(card) => (told(&card.standing), card.title),
            Err(error) => ("unreadable", error.to_string()),
        };
        println!("{:<40} {:>6} kB  {copied:<10}  {standing:<12}  {title}", name.as_str(), bytes.div_ceil(1000));
    }
    Ok(())
}

fn told(standing: &Standing) -> &'static str {
    match standing {
        Standing::Open => "served",
        Standing::Held { .. } => "worked on",
        Standing::Archived => "closed",
        Standing::Moved { .. } => "moved",
    }
}

fn rename(
    schools: &Schools,
    name: &SchoolName,
    to: Option<SchoolName>,
    title: Option<String>,
    hosts: Option<Vec<HostName>>,
) -> Done {
    if to.is_none() && title.is_none() && hosts.is_none() {
        return Err("say what changes: --to, --title or --host".into());
    }
    SchoolCard::check_title(title.as_deref().unwrap_or_default())?;
    let card = schools.change(name, |card| {
        card.title = title.unwrap_or_else(|| card.title.clone());
        card.hosts = hosts.unwrap_or_else(|| card.hosts.clone());
    })?;
    if let Some(to) = &to {
        schools.rename(name, to)?;
    }
    let name = to.as_ref().unwrap_or(name);
    let address = card.hosts.first().map_or_else(|| format!("/s/{name}/"), |host| format!("https://{host}/"));
    println!("{} is at {address}; devices that kept its page open it anew there", name);
    Ok(())
}

fn move_to(schools: &Schools, name: &SchoolName, to: &Path, address: Option<String>) -> Done {
    if let Some(address) =
        address.as_deref().filter(|address| !address.starts_with("https://") && !address.starts_with("http://"))
    {
        return Err(format!("--address is “{address}”; allowed: a whole address that begins with https:// or http://").into());
    }
    if !to.is_dir() {
        return Err(format!("there is no folder {}: name the other host's folder of schools", to.display()).into());
    }
    let moved = schools.move_to(name, &Schools::in_folder(to)?, address)?;
    println!(
        "{name} is in {} ({} kB). Nobody was let in for {} ms; {} kB had changed meanwhile and were carried over.",
        to.display(),
        moved.bytes.div_ceil(1000),
        moved.standstill.as_millis(),
        moved.carried.div_ceil(1000)
    );
    println!("What it was here stays in {} until you take it away.", schools.data(name).display());
    Ok(())
}
