//! Edge care: what was done to each knife, and what follows from all of it.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jiff::civil::Date;
use notch_core::care::{CareDeed, CareEvent, CareFields, CareHistory, Use, wear};
use notch_core::catalogue::{BoardMaterial, Catalogue};
use notch_core::records::EdgeState;
use rusqlite::{Row, params};

use crate::attempts::moment;
use crate::columns::{json, optional_word, to_json, to_word, word};
use crate::{Reader, StoreError, Writer};

pub(crate) fn event(row: &Row<'_>) -> rusqlite::Result<CareEvent> {
    Ok(CareEvent {
        id: row.get("id")?,
        knife_id: row.get("knife_id")?,
        written_at: word(row, "written_at")?,
        fields: CareFields { deed: json(row, "deed_json")?, on_day: word(row, "on_day")?, words: row.get("words")? },
    })
}

/// The latest days of each kind, and what follows from them: one index seek for each.
const LATEST: &str = "
    SELECT knife.id AS knife_id, edge_state,
           (SELECT max(on_day) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'hone') AS honed_on,
           (SELECT max(on_day) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'stone') AS stone_on,
           (SELECT max(on_day) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'came_back') AS back_on,
           (SELECT max(on_day) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'sent_out') AS out_on,
           (SELECT max(id) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'came_back') AS back_id,
           (SELECT max(id) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'sent_out') AS out_id,
           (SELECT max(on_day) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'paper_test') AS paper_on,
           (SELECT max(on_day) FROM care_event c WHERE c.knife_id = knife.id AND kind = 'tomato_test') AS tomato_on
    FROM knife WHERE archived = 0 AND (?1 IS NULL OR knife.id = ?1)";

/// Time in class since the knife was last ground, by food and board.
const USES: &str = "
    SELECT exercise.food AS food, course.board_material AS board, min(attempt.on_day) AS first_day,
           sum((julianday(stopped_at) - julianday(started_at)) * 1440.0) AS minutes
    FROM attempt JOIN exercise ON exercise.id = attempt.exercise_id JOIN lesson ON lesson.id = attempt.lesson_id
         JOIN course ON course.id = lesson.course_id
    WHERE knife_id = ?1 AND on_day >= ?2 AND stopped_at IS NOT NULL
    GROUP BY food, board";

const HABITS: &str = "
    SELECT deed_json FROM care_event WHERE knife_id = ?1 AND kind = 'habit' AND on_day >= ?2";

impl Reader<'_> {
    /// What is known of the care of each knife on the rack, or of one of them.
    ///
    /// # Errors
    /// What the database says.
    pub fn care_histories(&self, catalogue: &Catalogue, knife_id: Option<i64>) -> Result<BTreeMap<i64, CareHistory>, StoreError> {
        let mut statement = self.tx.prepare_cached(LATEST)?;
        let rows = statement.query_map([knife_id], |row| {
            let back: Option<i64> = row.get("back_id")?;
            let out: Option<i64> = row.get("out_id")?;
            let latest = |a: &str, b: &str| -> rusqlite::Result<Option<Date>> {
                Ok(optional_word::<Date>(row, a)?.max(optional_word::<Date>(row, b)?))
            };
            let history = CareHistory {
                honed_on: optional_word(row, "honed_on")?,
                ground_on: latest("stone_on", "back_on")?,
                tested_on: latest("paper_on", "tomato_on")?,
                away: out.is_some() && out > back && word::<EdgeState>(row, "edge_state")? == EdgeState::Dull,
                ..CareHistory::default()
            };
            Ok((row.get::<_, i64>("knife_id")?, history))
        })?;
        let mut histories: BTreeMap<i64, CareHistory> = rows.collect::<Result<_, _>>()?;
        for (knife_id, history) in &mut histories {
            self.add_wear(catalogue, *knife_id, history)?;
        }
        Ok(histories)
    }

    fn add_wear(&self, catalogue: &Catalogue, knife_id: i64, history: &mut CareHistory) -> Result<(), StoreError> {
        let from = history.ground_on.map_or_else(String::new, |day| day.to_string());
        let mut statement = self.tx.prepare_cached(USES)?;
        let uses = statement.query_map(params![knife_id, from], |row| {
            let board: BoardMaterial = word(row, "board")?;
            let food: String = row.get("food")?;
            let used = Use {
                minutes: row.get("minutes")?,
                firmness: catalogue.food(&food).map_or(3, |food| food.firmness),
                board_wear: catalogue.care.board_wear(board),
            };
            Ok((optional_word::<Date>(row, "first_day")?, used))
        })?;
        let uses: Vec<(Option<Date>, Use)> = uses.collect::<Result<_, _>>()?;
        let mut statement = self.tx.prepare_cached(HABITS)?;
        let deeds = statement.query_map(params![knife_id, from], |row| json::<CareDeed>(row, "deed_json"))?;
        let deeds: Vec<CareDeed> = deeds.collect::<Result<_, _>>()?;
        let habits = deeds.iter().filter_map(|deed| match deed {
            CareDeed::Habit { habit } => Some((*habit, 1)),
            _ => None,
        });
        history.used_from = uses.iter().filter_map(|(day, _)| *day).min();
        history.wear = wear(catalogue, uses.into_iter().map(|(_, used)| used), habits);
        Ok(())
    }

    /// What was done to a knife, the latest first.
    ///
    /// # Errors
    /// What the database says.
    pub fn care_events(&self, knife_id: i64, most: u32) -> Result<Vec<CareEvent>, StoreError> {
        let mut statement =
            self.tx.prepare_cached("SELECT * FROM care_event WHERE knife_id = ?1 ORDER BY on_day DESC, id DESC LIMIT ?2")?;
        Ok(statement.query_map(params![knife_id, most], event)?.collect::<Result<_, _>>()?)
    }
}

impl Writer<'_> {
    /// Writes down what was done to a knife; what it says of the edge is kept with the knife.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Archived`].
    pub fn add_care(
        &self,
        knife_id: i64,
        at: Timestamp,
        fields: &CareFields,
        edge_state: Option<EdgeState>,
    ) -> Result<(), StoreError> {
        if self.knife(knife_id)?.archived {
            return Err(StoreError::Archived { what: "knife", id: knife_id });
        }
        self.tx.execute(
            "INSERT INTO care_event (knife_id, kind, on_day, written_at, deed_json, words) VALUES (?1, ?2, ?3, ?4, ?5, ?6)",
            params![
                knife_id,
                to_word(&fields.deed.kind())?,
                to_word(&fields.on_day)?,
                moment(at),
                to_json(&fields.deed)?,
                fields.words.trim()
            ],
        )?;
        if let Some(state) = edge_state {
            self.tx.execute(
                "UPDATE knife SET version = version + 1, edge_state = ?2 WHERE id = ?1 AND edge_state <> ?2",
                params![knife_id, to_word(&state)?],
            )?;
        }
        Ok(())
    }
}
