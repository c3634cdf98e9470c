//! What each change is called where it is read who changed what, and what it is done to.

use notch_core::catalogue::Catalogue;
use notch_store::{Reader, StoreError};

/// What the id in a route's path belongs to.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
enum Of {
    Nothing,
    Course,
    Student,
    Knife,
    Lesson,
    Exercise,
    Attempt,
    Staff,
}

/// Method and route, what was done in the past tense, and to what. A record of an earlier program whose route is
/// no longer here is told as a change.
const DEEDS: [(&str, &str, Of); 49] = [
    ("POST /api/courses", "Began a course", Of::Nothing),
    ("POST /api/course-file", "Took a course from a file", Of::Nothing),
    ("PUT /api/copies/keep", "Said how many copies are kept", Of::Nothing),
    ("POST /api/start", "Began a course", Of::Nothing),
    ("PUT /api/courses/{id}", "Changed the course", Of::Course),
    ("PUT /api/courses/{id}/plan", "Changed the plan of the course", Of::Course),
    ("POST /api/courses/{id}/sessions", "Added lessons", Of::Course),
    ("POST /api/courses/{id}/calendar/address", "Changed the calendar's address", Of::Course),
    ("POST /api/courses/{id}/students", "Added a student", Of::Course),
    ("POST /api/courses/{id}/people", "Took students along from another course", Of::Course),
    ("POST /api/courses/{id}/roster", "Added a class list", Of::Course),
    ("PUT /api/courses/{id}/doctrines", "Chose doctrines", Of::Course),
    ("POST /api/courses/{id}/rack/bought", "Added a knife that was bought", Of::Course),
    ("POST /api/courses/{id}/lessons", "Added a lesson", Of::Course),
    ("PUT /api/students/{id}", "Changed the student", Of::Student),
    ("POST /api/students/{id}/archive", "Took the student out, or brought back", Of::Student),
    ("POST /api/rack", "Added a knife", Of::Nothing),
    ("POST /api/rack/many", "Added several knives", Of::Nothing),
    ("POST /api/rack/table", "Added knives from a table", Of::Nothing),
    ("POST /api/rack/list", "Added knives from a list", Of::Nothing),
    ("PUT /api/rack/{id}", "Changed the knife", Of::Knife),
    ("POST /api/rack/{id}/archive", "Took the knife out, or brought it back", Of::Knife),
    ("POST /api/rack/{id}/care", "Wrote down care", Of::Knife),
    ("POST /api/own", "Changed a value of the school's own", Of::Nothing),
    ("POST /api/own/drop", "Went back to what was shipped", Of::Nothing),
    ("PUT /api/lessons/{id}", "Changed the lesson", Of::Lesson),
    ("PUT /api/lessons/{id}/time-rule", "Changed the time rule", Of::Lesson),
    ("PUT /api/lessons/{id}/produce", "Changed the food", Of::Lesson),
    ("PUT /api/lessons/{id}/rotation", "Announced a rotation", Of::Lesson),
    ("POST /api/lessons/{id}/exercises", "Added an exercise", Of::Lesson),
    ("POST /api/lessons/{id}/check", "Ticked the check sheet", Of::Lesson),
    ("POST /api/lessons/{id}/count", "Counted knives", Of::Lesson),
    ("POST /api/lessons/{id}/close", "Closed the count, or opened it again", Of::Lesson),
    ("POST /api/lessons/{id}/incidents", "Wrote down an incident", Of::Lesson),
    ("POST /api/lessons/{id}/sharp-dull", "Wrote down what was shown sharp and dull", Of::Lesson),
    ("PUT /api/exercises/{id}", "Changed the exercise", Of::Exercise),
    ("POST /api/exercises/{id}/archive", "Took the exercise out, or brought it back", Of::Exercise),
    ("POST /api/attempts", "Started an attempt", Of::Nothing),
    ("POST /api/attempts/{id}/stop", "Stopped the attempt", Of::Attempt),
    ("PUT /api/attempts/{id}/marks", "Marked the attempt", Of::Attempt),
    ("POST /api/attempts/{id}/samples", "Kept measured pieces", Of::Attempt),
    ("POST /api/samples/{id}/take-back", "Took measured pieces back", Of::Nothing),
    ("POST /api/incidents/{id}/take-back", "Took an incident back", Of::Nothing),
    ("POST /api/demonstrations/{id}/take-back", "Took back what was shown sharp and dull", Of::Nothing),
    ("POST /api/made-up", "Looked at the made-up school", Of::Nothing),
    ("DELETE /api/made-up", "Left the made-up school", Of::Nothing),
    ("POST /api/staff", "Added somebody who works here", Of::Nothing),
    ("PUT /api/staff/{id}", "Changed who works here", Of::Staff),
    ("POST /api/staff/{id}/archive", "Said who works here no longer, or again", Of::Staff),
];

/// What was done, in words.
pub(crate) fn words(deed: &str) -> &'static str {
    DEEDS.iter().find(|(route, ..)| *route == deed).map_or("Changed something", |(_, words, _)| words)
}

/// What a change is done to, as it is called now; empty where it is done to nothing, or to nothing that is there.
pub(crate) fn subject(reader: &Reader<'_>, catalogue: &Catalogue, route: &str, id: Option<i64>) -> String {
    let of = DEEDS.iter().find(|(each, ..)| *each == route).map_or(Of::Nothing, |(_, _, of)| *of);
    id.and_then(|id| called(reader, catalogue, of, id).ok()).unwrap_or_default()
}

fn called(reader: &Reader<'_>, catalogue: &Catalogue, of: Of, id: i64) -> Result<String, StoreError> {
    Ok(match of {
        Of::Nothing => String::new(),
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
