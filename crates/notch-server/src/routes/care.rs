//! Edge care of one knife.

use axum::Json;
use axum::http::StatusCode;
use jiff::civil::Date;
use notch_core::Problem;
use notch_core::care::{AngleAid, CareEvent, CareFields, CareHistory, Due, angle_aid, due, own_angle};
use notch_core::catalogue::{Catalogue, Doctrines, HabitWear, KnifePart, KnifeType};
use notch_core::comfort::{Comfort, comfort};
use notch_core::drawing::{Silhouette, silhouette};
use notch_core::people::HandSize;
use notch_core::records::Knife;
use notch_core::units::{Degrees, Millimetres};
use notch_core::views::{FoodAgainstBlade, food_against_blade};
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::{doctrines_of, kind_of, zone_of};
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
use crate::let_in::School;

/// Most events that are shown of a knife.
const EVENTS: u32 = 60;

/// What is asked of a knife beside its history.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct AskedOfKnife {
    /// Course whose doctrines and time zone count; our defaults if it is left out.
    course: Option<i64>,
    /// Angle to find on the stone, degrees per side; the knife's own if it is left out.
    degrees: Option<f64>,
    /// Thickness of the spine in mm, 0 to 10; 2 if it is left out.
    spine: Option<f64>,
    /// Id of a food to lay against the blade.
    food: Option<String>,
}

/// A deed in a line.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct EventLine {
    #[serde(flatten)]
    event: CareEvent,
    /// The deed in words.
    deed_words: String,
}

/// A bad habit to write down.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct HabitLine {
    id: String,
    /// Name.
    name: String,
    /// Board minutes that one occasion counts for.
    wear: f64,
    /// Why, and what to do instead.
    why: String,
}

/// Everything about the care of a knife.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct KnifeCare {
    knife: Knife,
    label: String,
    type_name: String,
    good_for: String,
    not_for: String,
    silhouette: Silhouette,
    parts: Vec<KnifePart>,
    history: CareHistory,
    /// Minutes in class and of bad habits since it was ground, to the minute.
    wear_minutes: u32,
    due: Vec<Due>,
    /// The latest first.
    events: Vec<EventLine>,
    /// Angle that it is kept at; none for teeth.
    own_angle: Option<Degrees>,
    /// How to find the angle that was asked for; none for teeth.
    aid: Option<AngleAid>,
    /// How a medium hand finds it.
    comfort: Vec<Comfort>,
    /// The food that was asked for, against the blade.
    against: Option<FoodAgainstBlade>,
    habits: Vec<HabitLine>,
    /// Clean cuts of how many that pass the paper test.
    paper_cuts: u8,
    #[schema(value_type = String, format = Date)]
    today: Date,
}

/// A deed to write down, in a course.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct NewCare {
    /// Course whose doctrines and time zone count.
    course: Option<i64>,
    /// The deed.
    fields: CareFields,
}

/// What was written down.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct CareTaken {
    /// What to mind, though it was taken.
    warnings: Vec<String>,
    /// The knife as it is now.
    knife: Knife,
}

fn aid(
    catalogue: &Catalogue,
    (kind, knife): (&KnifeType, &Knife),
    doctrines: &Doctrines,
    asked: &AskedOfKnife,
) -> Result<(Option<Degrees>, Option<AngleAid>), ApiError> {
    let own = own_angle(kind, knife.fields.edge_angle, doctrines);
    let wrong = |pointer: &str, name: &str, value: f64, allowed: &str| {
        ApiError::Fields(vec![Problem::new(pointer, name, value, "is out of range", allowed)])
    };
    let angle = match asked.degrees {
        None => own,
        Some(degrees) => Some(Degrees::new(degrees).map_err(|_| wrong("/degrees", "Angle", degrees, "above 0 and below 90°"))?),
    };
    let spine = asked.spine.unwrap_or(2.0);
    let spine = Millimetres::new(spine)
        .ok()
        .filter(|spine| spine.get() <= 10.0)
        .ok_or_else(|| wrong("/spine", "Spine", spine, "0 to 10 mm"))?;
    Ok((own, angle.map(|angle| angle_aid(catalogue, kind, knife.fields.heel_height, angle, spine))))
}

fn care_of(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    id: i64,
    asked: &AskedOfKnife,
    today: Date,
) -> Result<KnifeCare, ApiError> {
    let knife = reader.knife(id)?;
    let kind = kind_of(catalogue, &knife)?;
    let doctrines = doctrines_of(reader, asked.course)?;
    let history = reader.care_histories(catalogue, Some(id))?.remove(&id).unwrap_or_default();
    let against = match &asked.food {
        None => None,
        Some(food) => Some(catalogue.food(food).ok_or_else(|| {
            ApiError::Fields(vec![Problem::new("/food", "Food", food, "is not known", "a food of the catalogue")])
        })?),
    };
    let (own_angle, aid) = aid(catalogue, (kind, &knife), &doctrines, asked)?;
    let line = |event: CareEvent| EventLine { deed_words: event.fields.deed.words(catalogue), event };
    let habit = |(id, habit): (&notch_core::catalogue::Habit, &HabitWear)| HabitLine {
        id: id.word().to_owned(),
        name: habit.name.clone(),
        wear: habit.wear,
        why: habit.why.clone(),
    };
    let hands = [HandSize::Small, HandSize::Medium, HandSize::Large];
    Ok(KnifeCare {
        label: kind.label(knife.fields.length),
        type_name: kind.name.clone(),
        good_for: kind.good_for.clone(),
        not_for: kind.not_for.clone(),
        silhouette: silhouette(kind, &knife.fields),
        parts: catalogue.parts.clone(),
        due: due(catalogue, (kind, &knife.fields), &history, &doctrines, today, reader.lesson_on(today)?),
        events: reader.care_events(id, EVENTS)?.into_iter().map(line).collect(),
        own_angle,
        aid,
        comfort: hands.map(|size| comfort(size.usual_length(), kind, knife.fields.length)).to_vec(),
        against: against.map(|food| food_against_blade(kind, knife.fields.length, food)),
        habits: catalogue.care.habit.iter().map(habit).collect(),
        paper_cuts: catalogue.care.test.paper_cuts,
        wear_minutes: history.wear.minutes(),
        history,
        knife,
        today,
    })
}

/// The care of a knife: what was done, what is due, its angle, its parts.
#[utoipa::path(get, operation_id = "care_show", path = "/api/rack/{id}/care", tag = "rack", params(("id" = i64, Path), AskedOfKnife),
    responses((status = 200, body = KnifeCare)))]
pub(crate) async fn show(
    School(state): School,
    Id(id): Id,
    Asked(asked): Asked<AskedOfKnife>,
) -> Result<Json<KnifeCare>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            let today = clock.today(&zone_of(reader, asked.course)?);
            Ok(Json(care_of(reader, catalogue, id, &asked, today)?))
        })
        .await
}

/// Writes down what was done to a knife. A failed test takes it out of class at once.
#[utoipa::path(post, operation_id = "care_add", path = "/api/rack/{id}/care", tag = "rack", params(("id" = i64, Path)), request_body = NewCare,
    responses((status = 201, body = CareTaken)))]
pub(crate) async fn add(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(new): Body<NewCare>,
) -> Result<(StatusCode, Json<CareTaken>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| {
                let knife = writer.knife(id)?;
                let kind = kind_of(catalogue, &knife)?;
                let doctrines = doctrines_of(writer, new.course)?;
                let today = zone_of(writer, new.course)?.to_datetime(at).date();
                ApiError::unless_empty(new.fields.check(catalogue, kind, &doctrines, today))?;
                writer.add_care(id, at, &new.fields, new.fields.deed.edge_state(catalogue))?;
                Ok((id, new.fields.warnings(catalogue, kind)))
            },
            |reader, _, (id, warnings)| Ok((StatusCode::CREATED, Json(CareTaken { warnings, knife: reader.knife(id)? }))),
        )
        .await
}
