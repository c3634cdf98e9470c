//! A copy of a school as a file, and a school from a copy.

use std::io::{self, IsTerminal};
use std::path::Path;

use jiff::Timestamp;
use jiff::tz::TimeZone;
use notch_store::{Held, Restoring, Store};

use crate::commands::Done;

/// Makes a checked copy of a school.
pub(crate) fn backup(data: &Path, file: &Path) -> Done {
    if file.exists() {
        return Err(format!("{} is there already: name another file", file.display()).into());
    }
    let school = Store::open_copy(data)?;
    let bytes = school.copy_to(file)?;
    let held = school.read(|reader| reader.held())?;
    println!("Copied and checked: {} ({} kB) holds {}", file.display(), bytes.div_ceil(1024), told(&held));
    Ok(())
}

/// Puts a copy in the place of a school.
pub(crate) fn restore(data: &Path, file: &Path, yes: bool) -> Done {
    let looked = Restoring::look(file, data)?;
    let now = Store::open_copy(data).and_then(|school| school.read(|reader| reader.held()));
    let copy = looked.copy.read(|reader| reader.held())?;
    match now {
        Ok(now) => println!("The school holds now: {}", told(&now)),
        Err(error) => println!("The school cannot be read: {error}"),
    }
    println!("It will hold:         {}", told(&copy));
    if !yes && !agreed()? {
        return Err("nothing was changed".into());
    }
    match looked.put_back(Timestamp::now())? {
        Some(aside) => println!("Restored. What was there is kept in {}", aside.display()),
        None => println!("Restored into {}", data.display()),
    }
    Ok(())
}

/// Asks the person at the terminal.
fn agreed() -> Result<bool, Box<dyn std::error::Error>> {
    if !io::stdin().is_terminal() {
        return Err("say --yes to restore without being asked; nothing was changed".into());
    }
    println!("Restore? What is there now is kept in a folder beside it. Type yes, then Enter:");
    let mut line = String::new();
    io::stdin().read_line(&mut line)?;
    Ok(line.trim() == "yes")
}

fn told(held: &Held) -> String {
    let latest = held.latest.map_or_else(
        || "nothing written down yet".to_owned(),
        |latest| format!("the latest of {}", TimeZone::system().to_datetime(latest).strftime("%-d %b %Y, %H:%M")),
    );
    let of = |number: i64, one: &str| format!("{number} {one}{}", if number == 1 { "" } else { "s" });
    let Held { courses, students, lessons, attempts, .. } = held;
    let counted = [of(*courses, "course"), of(*students, "student"), of(*lessons, "lesson"), of(*attempts, "attempt")];
    format!("{}, {latest}", counted.join(", "))
}
