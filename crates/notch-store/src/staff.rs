//! People who work here, their passphrases, invitations and sessions, and what each changed.
//!
//! Secrets that are sent about (of an invitation, of a session) are kept as SHA-256 alone: who reads the file
//! cannot use them.

use jiff::{SignedDuration, Timestamp};
use notch_core::Problem;
use notch_core::staff::{Role, StaffFields, StaffMember, check_staff};
use rusqlite::{OptionalExtension, Row, params};

use crate::attempts::moment;
use crate::columns::{to_word, word};
use crate::open::{fresh, unless_taken};
use crate::{Reader, StoreError, Writer};

/// How long it is kept who changed what.
const CHANGES_KEPT: SignedDuration = SignedDuration::from_hours(400 * 24);

/// A browser that is signed in.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct StaffSession {
    /// Id.
    pub id: i64,
    /// Who.
    pub member: StaffMember,
    /// The device, as it called itself.
    pub device: String,
    /// When it signed in.
    pub begun_at: Timestamp,
    /// When it ends by itself.
    pub until: Timestamp,
}

/// A session about to begin.
#[derive(Clone, Debug)]
pub struct NewSession {
    /// SHA-256 of the secret that the browser keeps.
    pub token_sha256: String,
    /// The device, as it calls itself.
    pub device: String,
    /// Now.
    pub at: Timestamp,
    /// When it ends by itself.
    pub until: Timestamp,
}

/// What somebody changed.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct ChangeMade {
    /// Id; later changes have a larger one.
    pub id: i64,
    /// When it happened.
    pub at: Timestamp,
    /// Who, if signed in.
    pub staff_id: Option<i64>,
    /// The name at that time; empty where none was told.
    pub name: String,
    /// What was done, an id.
    pub deed: String,
    /// What it was done to, as it was called at that time; may be empty.
    pub subject: String,
    /// Its id, if it has one.
    pub subject_id: Option<i64>,
}

pub(crate) fn member(row: &Row<'_>) -> rusqlite::Result<StaffMember> {
    Ok(StaffMember {
        id: row.get("id")?,
        version: row.get("version")?,
        name: row.get("name")?,
        role: word::<Role>(row, "role")?,
        archived: row.get("archived")?,
        signs_in: row.get("signs_in")?,
        invited: row.get("invited")?,
    })
}

pub(crate) fn change(row: &Row<'_>) -> rusqlite::Result<ChangeMade> {
    Ok(ChangeMade {
        id: row.get("id")?,
        at: word(row, "at")?,
        staff_id: row.get("staff_id")?,
        name: row.get("name")?,
        deed: row.get("deed")?,
        subject: row.get("subject")?,
        subject_id: row.get("subject_id")?,
    })
}

fn session(row: &Row<'_>) -> rusqlite::Result<StaffSession> {
    Ok(StaffSession {
        id: row.get("session_id")?,
        member: member(row)?,
        device: row.get("device")?,
        begun_at: word(row, "begun_at")?,
        until: word(row, "until")?,
    })
}

/// Staff as they are read.
macro_rules! staff_where {
    ($from:literal, $condition:literal) => {
        concat!(
            "SELECT staff.*, EXISTS (SELECT 1 FROM staff_passphrase WHERE staff_id = staff.id) AS signs_in,
                    EXISTS (SELECT 1 FROM staff_invitation WHERE staff_id = staff.id) AS invited ",
            $from,
            " ",
            $condition
        )
    };
}

/// Sessions that go on, with who they are of: an end by itself, an archived person and a missing passphrase end them.
macro_rules! sessions_where {
    ($condition:literal) => {
        staff_where!(
            ", staff_session.id AS session_id, device, begun_at, until
             FROM staff_session JOIN staff ON staff.id = staff_session.staff_id
             JOIN staff_passphrase ON staff_passphrase.staff_id = staff.id",
            $condition
        )
    };
}

impl Reader<'_> {
    /// Everybody who works or worked here, those who do first, by name.
    ///
    /// # Errors
    /// What the database says.
    pub fn staff(&self) -> Result<Vec<StaffMember>, StoreError> {
        let sql = staff_where!("FROM staff", "ORDER BY archived, name COLLATE NOCASE, id");
        Ok(self.tx.prepare_cached(sql)?.query_map([], member)?.collect::<Result<_, _>>()?)
    }

    /// One of them.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn staff_member(&self, id: i64) -> Result<StaffMember, StoreError> {
        let mut statement = self.tx.prepare_cached(staff_where!("FROM staff", "WHERE staff.id = ?1"))?;
        statement.query_row([id], member).optional()?.ok_or(StoreError::NotFound { what: "person who works here", id })
    }

    /// How many people have a passphrase; with none, nobody is asked for one.
    ///
    /// # Errors
    /// What the database says.
    pub fn people_who_sign_in(&self) -> Result<usize, StoreError> {
        let mut statement = self
            .tx
            .prepare_cached("SELECT count(*) FROM staff_passphrase JOIN staff ON staff.id = staff_id WHERE archived = 0")?;
        let count: i64 = statement.query_row([], |row| row.get(0))?;
        Ok(usize::try_from(count).unwrap_or(0))
    }

    /// Id and hash of the passphrase of the person of this name, whatever the case of its letters; without a name
    /// of the only one who signs in.
    ///
    /// # Errors
    /// What the database says.
    pub fn passphrase_of(&self, name: Option<&str>) -> Result<Option<(i64, String)>, StoreError> {
        let mut statement = self.tx.prepare_cached(
            "SELECT staff.id, argon2id FROM staff JOIN staff_passphrase ON staff_id = staff.id
             WHERE archived = 0 AND (?1 IS NULL OR name = ?1 COLLATE NOCASE) LIMIT 2",
        )?;
        let found: Vec<(i64, String)> =
            statement.query_map([name.map(str::trim)], |row| Ok((row.get(0)?, row.get(1)?)))?.collect::<Result<_, _>>()?;
        Ok(if found.len() == 1 { found.into_iter().next() } else { None })
    }

    /// Whether the passphrase of a person still has this hash.
    ///
    /// # Errors
    /// What the database says.
    pub fn passphrase_is(&self, id: i64, argon2id: Option<&str>) -> Result<bool, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT 1 FROM staff_passphrase WHERE staff_id = ?1 AND argon2id = ?2")?;
        Ok(statement.exists(params![id, argon2id])?)
    }

    /// The session that a browser's secret belongs to, while it goes on.
    ///
    /// # Errors
    /// What the database says.
    pub fn staff_session(&self, token_sha256: &str, now: Timestamp) -> Result<Option<StaffSession>, StoreError> {
        let sql = sessions_where!("WHERE token_sha256 = ?1 AND until > ?2 AND archived = 0");
        let mut statement = self.tx.prepare_cached(sql)?;
        Ok(statement.query_row(params![token_sha256, moment(now)], session).optional()?)
    }

    /// All sessions that go on, the latest first.
    ///
    /// # Errors
    /// What the database says.
    pub fn staff_sessions(&self, now: Timestamp) -> Result<Vec<StaffSession>, StoreError> {
        let sql = sessions_where!("WHERE until > ?1 AND archived = 0 ORDER BY staff_session.id DESC");
        Ok(self.tx.prepare_cached(sql)?.query_map([moment(now)], session)?.collect::<Result<_, _>>()?)
    }

    /// Whom an invitation's secret invites, while it was not used and has not run out.
    ///
    /// # Errors
    /// What the database says.
    pub fn invited(&self, token_sha256: &str, now: Timestamp) -> Result<Option<StaffMember>, StoreError> {
        let mut statement = self.tx.prepare_cached(staff_where!(
            "FROM staff JOIN staff_invitation ON staff_invitation.staff_id = staff.id",
            "WHERE token_sha256 = ?1 AND until > ?2 AND archived = 0"
        ))?;
        Ok(statement.query_row(params![token_sha256, moment(now)], member).optional()?)
    }

    /// What was changed, the latest first: at most `most`, before the change with an id, by one person.
    ///
    /// # Errors
    /// What the database says.
    pub fn changes_made(&self, before: Option<i64>, by: Option<i64>, most: u32) -> Result<Vec<ChangeMade>, StoreError> {
        let mut statement = self.tx.prepare_cached(
            "SELECT * FROM change_made WHERE id < ?1 AND (?2 IS NULL OR staff_id = ?2) ORDER BY id DESC LIMIT ?3",
        )?;
        let found = statement.query_map(params![before.unwrap_or(i64::MAX), by, most], change)?;
        Ok(found.collect::<Result<_, _>>()?)
    }
}

fn name_taken(name: &str) -> StoreError {
    StoreError::Refused(vec![Problem::new("/name", "Name", name, "is somebody else's here", "a name that nobody has yet")])
}

impl Writer<'_> {
    /// The instructor of this name, whatever the case of its letters: found, made one again, or added.
    ///
    /// # Errors
    /// What the database says.
    pub fn instructor_named(&self, name: &str) -> Result<StaffMember, StoreError> {
        let found = self.staff()?.into_iter().find(|member| !member.archived && member.name.eq_ignore_ascii_case(name.trim()));
        match found {
            Some(member) => {
                self.tx.execute(
                    "UPDATE staff SET role = 'instructor', version = version + 1 WHERE id = ?1 AND role <> 'instructor'",
                    [member.id],
                )?;
                self.staff_member(member.id)
            }
            None => self.add_staff(&StaffFields { name: name.to_owned(), role: Role::Instructor }),
        }
    }

    /// Adds somebody who works here; without a passphrase nobody can sign in as that person.
    ///
    /// # Errors
    /// [`StoreError::Refused`] for a name that somebody has.
    pub fn add_staff(&self, fields: &StaffFields) -> Result<StaffMember, StoreError> {
        let added = self
            .tx
            .execute("INSERT INTO staff (name, role) VALUES (?1, ?2)", params![fields.name.trim(), to_word(&fields.role)?]);
        unless_taken(added, || name_taken(&fields.name))?;
        self.staff_member(self.tx.last_insert_rowid())
    }

    /// Changes name or role.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Stale`]; [`StoreError::Refused`] for a name that somebody has, or where no
    /// instructor would be left.
    pub fn change_staff(&self, id: i64, version: i64, fields: &StaffFields) -> Result<StaffMember, StoreError> {
        fresh("person who works here", version, self.staff_member(id)?.version)?;
        let changed = self.tx.execute(
            "UPDATE staff SET name = ?2, role = ?3, version = version + 1 WHERE id = ?1",
            params![id, fields.name.trim(), to_word(&fields.role)?],
        );
        unless_taken(changed, || name_taken(&fields.name))?;
        self.with_an_instructor_left(id)
    }

    /// Somebody no longer works here, or does again. Who leaves is signed out everywhere and has no passphrase.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Stale`]; [`StoreError::Refused`] where no instructor would be left, or for a
    /// name that somebody has meanwhile.
    pub fn archive_staff(&self, id: i64, version: i64, archived: bool) -> Result<StaffMember, StoreError> {
        let current = self.staff_member(id)?;
        fresh("person who works here", version, current.version)?;
        let changed =
            self.tx.execute("UPDATE staff SET archived = ?2, version = version + 1 WHERE id = ?1", params![id, archived]);
        unless_taken(changed, || name_taken(&current.name))?;
        // Before the passphrase goes: whether somebody is left who leads.
        self.with_an_instructor_left(id)?;
        if archived {
            self.tx.execute("DELETE FROM staff_passphrase WHERE staff_id = ?1", [id])?;
            self.tx.execute("DELETE FROM staff_invitation WHERE staff_id = ?1", [id])?;
            self.tx.execute("DELETE FROM staff_session WHERE staff_id = ?1", [id])?;
        }
        self.staff_member(id)
    }

    fn with_an_instructor_left(&self, id: i64) -> Result<StaffMember, StoreError> {
        match check_staff(&self.staff()?) {
            Some(problem) => Err(StoreError::Refused(vec![problem])),
            None => self.staff_member(id),
        }
    }

    /// Gives somebody an invitation; an earlier one counts no longer.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Archived`].
    pub fn invite(&self, id: i64, token_sha256: &str, until: Timestamp) -> Result<(), StoreError> {
        if self.staff_member(id)?.archived {
            return Err(StoreError::Archived { what: "person who works here", id });
        }
        self.tx.execute(
            "INSERT INTO staff_invitation (staff_id, token_sha256, until) VALUES (?1, ?2, ?3)
             ON CONFLICT (staff_id) DO UPDATE SET token_sha256 = ?2, until = ?3",
            params![id, token_sha256, moment(until)],
        )?;
        Ok(())
    }

    /// Gives somebody a passphrase by its hash. What was begun with another one ends, an invitation counts no longer.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Refused`] where no instructor could sign in.
    pub fn set_passphrase(&self, id: i64, argon2id: &str) -> Result<StaffMember, StoreError> {
        self.staff_member(id)?;
        self.tx.execute(
            "INSERT INTO staff_passphrase (staff_id, argon2id) VALUES (?1, ?2) ON CONFLICT (staff_id) DO UPDATE SET argon2id = ?2",
            params![id, argon2id],
        )?;
        self.tx.execute("DELETE FROM staff_invitation WHERE staff_id = ?1", [id])?;
        self.tx.execute("DELETE FROM staff_session WHERE staff_id = ?1", [id])?;
        self.with_an_instructor_left(id)
    }

    /// Begins a session; those that have ended are forgotten.
    ///
    /// # Errors
    /// What the database says.
    pub fn begin_session(&self, staff_id: i64, new: &NewSession) -> Result<(), StoreError> {
        self.tx.execute("DELETE FROM staff_session WHERE until <= ?1", [moment(new.at)])?;
        self.tx.execute(
            "INSERT INTO staff_session (token_sha256, staff_id, device, begun_at, until) VALUES (?1, ?2, ?3, ?4, ?5)",
            params![new.token_sha256, staff_id, new.device, moment(new.at), moment(new.until)],
        )?;
        Ok(())
    }

    /// Ends a session.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn end_session(&self, id: i64) -> Result<(), StoreError> {
        match self.tx.execute("DELETE FROM staff_session WHERE id = ?1", [id])? {
            0 => Err(StoreError::NotFound { what: "session", id }),
            _ => Ok(()),
        }
    }

    /// Notes who changed what; the id of `change` is given here. What is older than some 400 days is forgotten.
    ///
    /// # Errors
    /// What the database says.
    pub fn note_change(&self, change: &ChangeMade) -> Result<(), StoreError> {
        self.tx
            .prepare_cached(
                "INSERT INTO change_made (at, staff_id, name, deed, subject, subject_id) VALUES (?1, ?2, ?3, ?4, ?5, ?6)",
            )?
            .execute(params![moment(change.at), change.staff_id, change.name, change.deed, change.subject, change.subject_id])?;
        let old = change.at.checked_sub(CHANGES_KEPT).unwrap_or(Timestamp::MIN);
        self.tx.prepare_cached("DELETE FROM change_made WHERE at < ?1")?.execute([moment(old)])?;
        Ok(())
    }
}
