//! The folder of a host's schools: each in a folder of its own by its name, with what the host says of it on a card.

use std::fs::{self, File};
use std::io::{Read, Seek, SeekFrom, Write};
use std::path::{Path, PathBuf};
use std::time::{Duration, Instant, SystemTime};

use jiff::{SignedDuration, Timestamp};
use notch_core::school::{HostName, SchoolCard, SchoolName, Standing};

use crate::error::StoreError;
use crate::lock::ServingLock;
use crate::open::{DATABASE_FILE, Store};
use crate::pages::COPIES;
use crate::rights::{beside, for_the_owner_alone, make_folder};

/// Name of the file in a school's folder with what its host says of it.
pub const CARD_FILE: &str = "school.json";

/// How long a server is waited for that lets go of a school.
const LET_GO: Duration = Duration::from_secs(20);

/// How often it is looked whether it has.
const LOOK: Duration = Duration::from_millis(20);

/// A school that is held for longer was forgotten by who held it: it is let in to again.
const FORGOTTEN: SignedDuration = SignedDuration::from_mins(10);

/// Bytes that are compared at once when a copy is brought up to date.
const PART: usize = 256 * 1024;

/// What the folder of a school that is about to be here begins with; no school's name does.
const ARRIVING: &str = ".arriving-";

/// What the file of a school that moved away is called.
const AS_IT_LEFT: &str = "as-it-left.db";

/// A host's schools.
#[derive(Clone, Debug)]
pub struct Schools {
    folder: PathBuf,
}

/// What was done to move a school.
#[derive(Clone, Copy, Debug)]
pub struct Moved {
    /// For so long nobody was let in.
    pub standstill: Duration,
    /// Size of its file, bytes.
    pub bytes: u64,
    /// Bytes that were carried over while nobody was let in.
    pub carried: u64,
}

/// A school that nobody is let in to, as long as this is held; let in to again when it is dropped.
struct Hold<'s> {
    schools: &'s Schools,
    name: &'s SchoolName,
    /// The card that holds when this is dropped.
    after: SchoolCard,
    lock: Option<ServingLock>,
    /// It goes by another name now.
    renamed: bool,
}

impl Drop for Hold<'_> {
    fn drop(&mut self) {
        // First another server may take it, then it is told to.
        self.lock = None;
        if !self.renamed {
            // Nobody is left to tell; who holds a school for too long is forgotten.
            let _ = self.schools.set_card(self.name, &self.after);
        }
    }
}

impl Schools {
    /// In a folder, which is made where it is missing.
    ///
    /// # Errors
    /// A folder that cannot be made.
    pub fn in_folder(folder: &Path) -> Result<Schools, StoreError> {
        let schools = Schools { folder: folder.to_owned() };
        make_folder(folder).map_err(|error| schools.unwritable(folder, &error))?;
        Ok(schools)
    }

    /// The data folder of a school.
    pub fn data(&self, name: &SchoolName) -> PathBuf {
        self.folder.join(name.as_str())
    }

    /// Every school, by name.
    ///
    /// # Errors
    /// A folder that cannot be read.
    pub fn names(&self) -> Result<Vec<SchoolName>, StoreError> {
        let unreadable = |error: std::io::Error| self.unwritable(&self.folder, &error);
        let mut found = Vec::new();
        for entry in fs::read_dir(&self.folder).map_err(unreadable)? {
            let entry = entry.map_err(unreadable)?;
            let name = entry.file_name().to_str().and_then(|name| name.parse::<SchoolName>().ok());
            found.extend(name.filter(|name| self.is_there(name)));
        }
        found.sort();
        Ok(found)
    }

    /// Whether there is a school of this name.
    pub fn is_there(&self, name: &SchoolName) -> bool {
        let data = self.data(name);
        data.join(CARD_FILE).is_file() || data.join(DATABASE_FILE).is_file()
    }

    fn card_file(&self, name: &SchoolName) -> PathBuf {
        self.data(name).join(CARD_FILE)
    }

    /// What the host says of a school; the usual where it says nothing.
    ///
    /// # Errors
    /// No such school, or a card that cannot be read.
    pub fn card(&self, name: &SchoolName) -> Result<SchoolCard, StoreError> {
        let file = self.card_file(name);
        match fs::read_to_string(&file) {
            Ok(text) => serde_json::from_str(&text).map_err(|error| self.no_card(&file, &error.to_string())),
            Err(error) if error.kind() == std::io::ErrorKind::NotFound && self.is_there(name) => Ok(SchoolCard::default()),
            Err(error) if error.kind() == std::io::ErrorKind::NotFound => {
                Err(StoreError::Conflict(format!("there is no school {name} in {}", self.folder.display())))
            }
            Err(error) => Err(self.no_card(&file, &error.to_string())),
        }
    }

    /// When the card was last written; none where there is none.
    pub fn card_changed(&self, name: &SchoolName) -> Option<SystemTime> {
        fs::metadata(self.card_file(name)).and_then(|about| about.modified()).ok()
    }

    /// Says something else of a school.
    ///
    /// # Errors
    /// A folder that cannot be written.
    pub fn set_card(&self, name: &SchoolName, card: &SchoolCard) -> Result<(), StoreError> {
        write_card(&self.data(name), card)
    }

    /// The school that is reached under a host name, other than this one.
    ///
    /// # Errors
    /// A folder that cannot be read.
    pub fn with_host(&self, host: &HostName, other_than: Option<&SchoolName>) -> Result<Option<SchoolName>, StoreError> {
        let has = |name: &SchoolName| self.card(name).is_ok_and(|card| card.hosts.contains(host));
        Ok(self.names()?.into_iter().find(|name| Some(name) != other_than && has(name)))
    }

    fn unless_there(&self, name: &SchoolName) -> Result<(), StoreError> {
        if self.is_there(name) || self.data(name).exists() {
            return Err(StoreError::Conflict(format!("{} is there already", self.data(name).display())));
        }
        Ok(())
    }

    fn unless_host_taken(&self, card: &SchoolCard, name: &SchoolName) -> Result<(), StoreError> {
        for host in &card.hosts {
            if let Some(other) = self.with_host(host, Some(name))? {
                return Err(StoreError::Conflict(format!("{host} leads to the school {other} already")));
            }
        }
        Ok(())
    }

    /// Makes a school; `fill` writes down what it begins with. It is there when all of it is.
    ///
    /// # Errors
    /// A name or host name that is taken, a folder that cannot be written, what `fill` returns.
    pub fn add<T>(
        &self,
        name: &SchoolName,
        card: &SchoolCard,
        fill: impl FnOnce(&Store) -> Result<T, StoreError>,
    ) -> Result<T, StoreError> {
        self.unless_there(name)?;
        self.unless_host_taken(card, name)?;
        let arriving = self.arriving(name)?;
        let store = Store::open(&arriving)?;
        let filled = fill(&store)?;
        drop(store);
        write_card(&arriving, card)?;
        self.put_in_place(&arriving, name)?;
        Ok(filled)
    }

    /// Changes what the host says of a school, other than its standing.
    ///
    /// # Errors
    /// No such school, a host name that is another's.
    pub fn change(&self, name: &SchoolName, change: impl FnOnce(&mut SchoolCard)) -> Result<SchoolCard, StoreError> {
        let mut card = self.card(name)?;
        change(&mut card);
        self.unless_host_taken(&card, name)?;
        self.set_card(name, &card)?;
        Ok(card)
    }

    /// Gives a school another name, and so another address; nobody is let in meanwhile.
    ///
    /// # Errors
    /// No such school, a name that is taken, a server that does not let go of it.
    pub fn rename(&self, name: &SchoolName, to: &SchoolName) -> Result<(), StoreError> {
        self.unless_there(to)?;
        let mut hold = self.hold(name)?;
        let (from, there) = (self.data(name), self.data(to));
        fs::rename(&from, &there).map_err(|error| self.unwritable(&from, &error))?;
        hold.renamed = true;
        self.set_card(to, &hold.after)
    }

    /// Lets nobody in to a school any more, or again; its data stays.
    ///
    /// # Errors
    /// No such school; one that is on another host now.
    pub fn archive(&self, name: &SchoolName, archived: bool) -> Result<(), StoreError> {
        let mut card = self.card(name)?;
        if let Standing::Moved { .. } = card.standing {
            return Err(StoreError::Conflict(format!("the school {name} is on another host now")));
        }
        card.standing = if archived { Standing::Archived } else { Standing::Open };
        self.set_card(name, &card)
    }

    /// Moves a school to the folder of another host while both are served. Nobody is let in from when its latest
    /// changes are carried over until it is there; a copy of all before that is made first.
    ///
    /// `to_address`: where whoever still asks here is sent on. A move that was broken off is begun anew.
    ///
    /// # Errors
    /// No such school here, one of this name there, a server that does not let go of it, damage, a full disk. The
    /// school then is where it was.
    pub fn move_to(&self, name: &SchoolName, there: &Schools, to_address: Option<String>) -> Result<Moved, StoreError> {
        let card = self.card(name)?;
        if let Standing::Moved { .. } = card.standing {
            return Err(StoreError::Conflict(format!("the school {name} is on another host now")));
        }
        there.unless_there(name)?;
        there.unless_host_taken(&card, name)?;
        let (from, arriving) = (self.data(name), there.arriving(name)?);
        Store::open_copy(&from)?.copy_to(&arriving.join(DATABASE_FILE))?;
        copy_folder(&from, &arriving).map_err(|error| there.unwritable(&arriving, &error))?;
        let began = Instant::now();
        let mut hold = self.hold(name)?;
        // What was changed last stands in the one file when it was let go of by a server; not after a lost current.
        drop(Store::open(&from)?);
        let carried = bring_up_to_date(&from.join(DATABASE_FILE), &arriving.join(DATABASE_FILE))
            .map_err(|error| there.unwritable(&arriving, &error))?;
        let bytes = fs::metadata(arriving.join(DATABASE_FILE)).map_or(0, |about| about.len());
        write_card(&arriving, &SchoolCard { standing: Standing::Open, ..card })?;
        // Never in two places: it is not here any more before it is there.
        hold.after.standing = Standing::Moved { to: to_address };
        self.set_card(name, &hold.after)?;
        there.put_in_place(&arriving, name)?;
        let standstill = began.elapsed();
        fs::rename(from.join(DATABASE_FILE), from.join(AS_IT_LEFT)).map_err(|error| self.unwritable(&from, &error))?;
        Ok(Moved { standstill, bytes, carried })
    }

    /// Lets nobody in, and waits until a server has let go.
    fn hold<'s>(&'s self, name: &'s SchoolName) -> Result<Hold<'s>, StoreError> {
        let mut after = self.card(name)?;
        if let Standing::Held { .. } = after.standing {
            after.standing = Standing::Open;
        }
        let mut hold = Hold { schools: self, name, after: after.clone(), lock: None, renamed: false };
        self.set_card(name, &SchoolCard { standing: Standing::Held { since: Timestamp::now() }, ..after })?;
        let began = Instant::now();
        loop {
            match ServingLock::take(&self.data(name)) {
                Ok(lock) => {
                    hold.lock = Some(lock);
                    return Ok(hold);
                }
                Err(StoreError::Served { .. }) if began.elapsed() < LET_GO => std::thread::sleep(LOOK),
                Err(error) => return Err(error),
            }
        }
    }

    /// An empty folder for a school that is about to be here.
    fn arriving(&self, name: &SchoolName) -> Result<PathBuf, StoreError> {
        let folder = self.folder.join(format!("{ARRIVING}{name}"));
        if folder.exists() {
            fs::remove_dir_all(&folder).map_err(|error| self.unwritable(&folder, &error))?;
        }
        make_folder(&folder).map_err(|error| self.unwritable(&folder, &error))?;
        Ok(folder)
    }

    fn put_in_place(&self, arriving: &Path, name: &SchoolName) -> Result<(), StoreError> {
        let place = self.data(name);
        fs::rename(arriving, &place).map_err(|error| self.unwritable(&place, &error))?;
        // The name is on the disk too.
        File::open(&self.folder).and_then(|folder| folder.sync_all()).map_err(|error| self.unwritable(&place, &error))
    }

    fn no_card(&self, file: &Path, why: &str) -> StoreError {
        StoreError::Folder { path: file.to_owned(), why: why.to_owned() }
    }

    fn unwritable(&self, path: &Path, error: &std::io::Error) -> StoreError {
        if error.kind() == std::io::ErrorKind::StorageFull {
            return StoreError::Full;
        }
        StoreError::Folder { path: path.to_owned(), why: error.to_string() }
    }
}

/// Whether a school is held at this moment; one that is held for too long was forgotten.
pub fn is_held(standing: &Standing, now: Timestamp) -> bool {
    matches!(standing, Standing::Held { since } if now.duration_since(*since) < FORGOTTEN)
}

/// Written whole beside, then moved.
fn write_card(folder: &Path, card: &SchoolCard) -> Result<(), StoreError> {
    let unwritable = |error: std::io::Error| match error.kind() {
        std::io::ErrorKind::StorageFull => StoreError::Full,
        _ => StoreError::Folder { path: folder.to_owned(), why: error.to_string() },
    };
    let text = serde_json::to_string_pretty(card)?;
    let mut written = tempfile::NamedTempFile::new_in(folder).map_err(unwritable)?;
    written.write_all(text.as_bytes()).and_then(|()| written.as_file().sync_all()).map_err(unwritable)?;
    written.persist(folder.join(CARD_FILE)).map_err(|error| unwritable(error.error))?;
    Ok(())
}

/// What is in a school's folder beside its file: its copies, its certificate.
fn copy_folder(from: &Path, to: &Path) -> std::io::Result<()> {
    for part in [COPIES, "tls"] {
        let source = from.join(part);
        if !source.is_dir() {
            continue;
        }
        make_folder(&to.join(part))?;
        for entry in fs::read_dir(&source)? {
            let entry = entry?;
            if entry.file_type()?.is_file() {
                fs::copy(entry.path(), to.join(part).join(entry.file_name()))?;
            }
        }
    }
    Ok(())
}

/// Has a copy be the same as its original, byte by byte, writing what differs alone. Returns the bytes written.
fn bring_up_to_date(original: &Path, copy: &Path) -> std::io::Result<u64> {
    let (mut from, mut to) = (File::open(original)?, File::options().read(true).write(true).open(copy)?);
    let size = from.metadata()?.len();
    let (mut new, mut old) = (vec![0; PART], vec![0; PART]);
    let (mut at, mut carried) = (0, 0);
    loop {
        let read = read_full(&mut from, &mut new)?;
        let Some(new) = new.get(..read).filter(|part| !part.is_empty()) else { break };
        let had = read_full(&mut to, &mut old)?;
        if old.get(..had).and_then(|old| old.get(..read)) != Some(new) {
            to.seek(SeekFrom::Start(at))?;
            to.write_all(new)?;
            carried += read as u64;
        }
        at += read as u64;
        to.seek(SeekFrom::Start(at))?;
    }
    to.set_len(size)?;
    to.sync_all()?;
    for ending in ["-wal", "-shm"] {
        match fs::remove_file(beside(copy, ending)) {
            Err(error) if error.kind() != std::io::ErrorKind::NotFound => return Err(error),
            _ => {}
        }
    }
    for_the_owner_alone(copy)?;
    Ok(carried)
}

/// As much as there is, up to the size of the buffer.
fn read_full(file: &mut File, buffer: &mut [u8]) -> std::io::Result<usize> {
    let mut filled = 0;
    while let Some(rest) = buffer.get_mut(filled..).filter(|rest| !rest.is_empty()) {
        match file.read(rest)? {
            0 => break,
            read => filled += read,
        }
    }
    Ok(filled)
}
