//! What each change is called where it is read who changed what, and what it is done to.

use notch_core::catalogue::Catalogue;
use notch_store::{Reader, StoreError};
use serde_json::Value;

use crate::live::Subject;

/// What a change is done to.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum To {
    /// Nothing that has a name.
    Nothing,
    /// What the id in the path belongs to, as it is called before: the change may be of its name.
    This(Of),
    /// What it made, or what it says by its key, as it is called after.
    Made(Of),
}

/// What an id belongs to.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Of {
    Course,
    Student,
    Knife,
    Lesson,
    Exercise,
    Attempt,
    Staff,
}

/// Method and route, what was done in the past tense, to what, and what a page reads again after it. A record of an earlier program whose route is
/// no longer here is told as a change.
const DEEDS: [(&str, &str, To, Subject); 55] = [
    ("POST /api/courses", "Began a course", To::Made(Of::Course), Subject::Course),
    ("POST /api/course-file", "Took a course from a file", To::Made(Of::Course), Subject::Course),
    ("PUT /api/copies/keep", "Said how many copies are kept", To::Nothing, Subject::Copies),
    ("POST /api/start", "Began a course", To::Nothing, Subject::Course),
    ("PUT /api/courses/{id}", "Changed the course", To::This(Of::Course), Subject::Course),
    ("PUT /api/courses/{id}/plan", "Changed the plan of the course", To::This(Of::Course), Subject::Course),
    ("POST /api/courses/{id}/sessions", "Added lessons", To::This(Of::Course), Subject::Course),
    ("POST /api/courses/{id}/calendar/address", "Changed the calendar's address", To::This(Of::Course), Subject::Course),
    ("POST /api/courses/{id}/students", "Added a student", To::Made(Of::Student), Subject::Student),
    ("POST /api/courses/{id}/people", "Took students along from another course", To::This(Of::Course), Subject::Student),
    ("POST /api/courses/{id}/roster", "Added a class list", To::This(Of::Course), Subject::Student),
    ("PUT /api/courses/{id}/doctrines", "Chose doctrines", To::This(Of::Course), Subject::Course),
    ("POST /api/courses/{id}/rack/bought", "Added a knife that was bought", To::Made(Of::Knife), Subject::Knife),
    ("POST /api/courses/{id}/lessons", "Added a lesson", To::Made(Of::Lesson), Subject::Lesson),
    ("PUT /api/students/{id}", "Changed the student", To::This(Of::Student), Subject::Student),
    ("POST /api/students/{id}/archive", "Took the student out, or brought back", To::This(Of::Student), Subject::Student),
    ("POST /api/rack", "Added a knife", To::Made(Of::Knife), Subject::Knife),
    ("POST /api/rack/many", "Added several knives", To::Nothing, Subject::Knife),
    ("POST /api/rack/table", "Added knives from a table", To::Nothing, Subject::Knife),
    ("POST /api/rack/list", "Added knives from a list", To::Nothing, Subject::Knife),
    ("PUT /api/rack/{id}", "Changed the knife", To::This(Of::Knife), Subject::Knife),
    ("POST /api/rack/{id}/archive", "Took the knife out, or brought it back", To::This(Of::Knife), Subject::Knife),
    ("POST /api/rack/{id}/care", "Wrote down care", To::This(Of::Knife), Subject::Knife),
    ("POST /api/own", "Changed a value of the school's own", To::Nothing, Subject::Own),
    ("POST /api/own/drop", "Went back to what was shipped", To::Nothing, Subject::Own),
    ("PUT /api/lessons/{id}", "Changed the lesson", To::This(Of::Lesson), Subject::Lesson),
    ("PUT /api/lessons/{id}/time-rule", "Changed the time rule", To::This(Of::Lesson), Subject::Lesson),
    ("PUT /api/lessons/{id}/produce", "Changed the food", To::This(Of::Lesson), Subject::Lesson),
    ("PUT /api/lessons/{id}/rotation", "Announced a rotation", To::This(Of::Lesson), Subject::Rotation),
    ("POST /api/lessons/{id}/run", "Ran the clock", To::This(Of::Lesson), Subject::Run),
    ("POST /api/run-steps/{id}/undo", "Took a step of the clock back", To::Made(Of::Lesson), Subject::Run),
    ("POST /api/lessons/{id}/exercises", "Added an exercise", To::This(Of::Lesson), Subject::Lesson),
    ("POST /api/lessons/{id}/check", "Ticked the check sheet", To::This(Of::Lesson), Subject::Check),
    ("POST /api/lessons/{id}/count", "Counted knives", To::This(Of::Lesson), Subject::Count),
    ("POST /api/lessons/{id}/close", "Closed the count, or opened it again", To::This(Of::Lesson), Subject::Count),
    ("POST /api/lessons/{id}/briefings", "Kept a briefing", To::This(Of::Lesson), Subject::Briefing),
    ("PUT /api/courses/{id}/room", "Placed the stations", To::This(Of::Course), Subject::Room),
    ("POST /api/lessons/{id}/incidents", "Wrote down an incident", To::This(Of::Lesson), Subject::Incident),
    (
        "POST /api/lessons/{id}/sharp-dull",
        "Wrote down what was shown sharp and dull",
        To::This(Of::Lesson),
        Subject::Demonstration,
    ),
    ("PUT /api/exercises/{id}", "Changed the exercise", To::This(Of::Exercise), Subject::Lesson),
    ("POST /api/exercises/{id}/archive", "Took the exercise out, or brought it back", To::This(Of::Exercise), Subject::Lesson),
    ("POST /api/lessons/{id}/attempts", "Started an attempt", To::Made(Of::Attempt), Subject::Attempt),
    ("POST /api/lessons/{id}/stop", "Stopped an attempt", To::Made(Of::Attempt), Subject::Attempt),
    ("POST /api/lessons/{id}/marks", "Marked an attempt", To::Made(Of::Attempt), Subject::Attempt),
    ("POST /api/lessons/{id}/undo", "Undid a touch", To::Made(Of::Attempt), Subject::Attempt),
    ("POST /api/marks/{id}/correct", "Corrected a mark", To::Made(Of::Attempt), Subject::Attempt),
    ("POST /api/attempts/{id}/samples", "Kept measured pieces", To::This(Of::Attempt), Subject::Attempt),
    ("POST /api/samples/{id}/take-back", "Took measured pieces back", To::Made(Of::Attempt), Subject::Attempt),
    ("POST /api/incidents/{id}/take-back", "Took an incident back", To::Nothing, Subject::Incident),
    ("POST /api/demonstrations/{id}/take-back", "Took back what was shown sharp and dull", To::Nothing, Subject::Demonstration),
    ("POST /api/made-up", "Looked at the made-up school", To::Nothing, Subject::Own),
    ("DELETE /api/made-up", "Left the made-up school", To::Nothing, Subject::Own),
    ("POST /api/staff", "Added somebody who works here", To::Made(Of::Staff), Subject::Staff),
    ("PUT /api/staff/{id}", "Changed who works here", To::This(Of::Staff), Subject::Staff),
    ("POST /api/staff/{id}/archive", "Said who works here no longer, or again", To::This(Of::Staff), Subject::Staff),
];

/// What was done, in words.
pub(crate) fn words(deed: &str) -> &'static str {
    DEEDS.iter().find(|(route, ..)| *route == deed).map_or("Changed something", |(_, words, ..)| words)
}

/// What is changed, as it is called before the change, and its id; nothing where the deed tells only afterwards.
pub(crate) fn before(reader: &Reader<'_>, catalogue: &Catalogue, deed: &str, id: Option<i64>) -> (String, Option<i64>) {
    match (to(deed), id) {
        (To::This(of), Some(id)) => (called(reader, catalogue, of, id).unwrap_or_default(), Some(id)),
        _ => (String::new(), None),
    }
}

/// What a change made, as it is called after it, by the key that the change says; none where the deed told before.
pub(crate) fn after(reader: &Reader<'_>, catalogue: &Catalogue, deed: &str, key: &Value) -> Option<(String, i64)> {
    // Of a touch, where it touched one attempt alone.
    let one = || key.get("attempts")?.as_array().filter(|all| all.len() == 1)?.first()?.as_i64();
    match (to(deed), key.as_i64().or_else(one)) {
        (To::Made(of), Some(id)) => Some((called(reader, catalogue, of, id).unwrap_or_default(), id)),
        _ => None,
    }
}

/// What a page reads again after it; everything after a change that is not listed.
pub(crate) fn subject(deed: &str) -> Subject {
    DEEDS.iter().find(|(route, ..)| *route == deed).map_or(Subject::Own, |(.., subject)| *subject)
}

fn to(deed: &str) -> To {
    DEEDS.iter().find(|(route, ..)| *route == deed).map_or(To::Nothing, |(_, _, to, _)| *to)
}

fn called(reader: &Reader<'_>, catalogue: &Catalogue, of: Of, id: i64) -> Result<String, StoreError> {
    Ok(match of {
        Of::Course => reader.course(id)?.fields.name,
        Of::Student => reader.student(id)?.fields.name,
        Of::Knife => {
            let fields = reader.knife(id)?.fields;
            let kind = catalogue.knife(&fields.knife_type).map(|kind| kind.label(fields.length));
            format!("{}, no. {}", kind.unwrap_or(fields.knife_type), fields.number)
        }
        Of::Lesson => {
            let lesson = reader.lesson(id)?;
            format!("Lesson {}, {}", lesson.number, lesson.fields.title)
        }
        Of::Exercise => {
            let exercise = reader.exercise(id)?;
            let cut = catalogue.cut(&exercise.fields.cut).map(|cut| cut.name.clone()).unwrap_or(exercise.fields.cut);
            let food = catalogue.food(&exercise.fields.food).map(|food| food.name.clone()).unwrap_or(exercise.fields.food);
            format!("{cut}, {food}")
        }
        Of::Attempt => reader.student(reader.attempt(id)?.student_id)?.fields.name,
        Of::Staff => reader.staff_member(id)?.name,
    })
}

/// How many kinds of change there are: each writing route is one.
#[cfg(test)]
pub(crate) const fn how_many() -> usize {
    DEEDS.len()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::groups;

    #[test]
    fn every_change_that_is_described_has_its_words_and_no_other_has() {
        let mut described = Vec::new();
        for group in groups::all_writing() {
            for (path, item) in group.split_for_parts().1.paths.paths {
                let methods = [("POST", item.post), ("PUT", item.put), ("DELETE", item.delete)];
                described.extend(methods.into_iter().filter(|(_, there)| there.is_some()).map(|(m, _)| format!("{m} {path}")));
            }
        }
        let mut named: Vec<String> = DEEDS.iter().map(|(route, ..)| (*route).to_owned()).collect();
        described.sort();
        named.sort();
        assert_eq!(named, described);
    }
}
