//! The lessons of a course as a calendar that any program takes (iCalendar, RFC 5545).

use ics::parameters::TzIDParam;
use ics::properties::{Description, DtEnd, DtStart, Location, Name, Summary, TzName};
use ics::{Daylight, Event, ICalendar, Standard, TimeZone as ZoneRules, escape_text};
use jiff::civil::DateTime;
use jiff::tz::{Dst, Offset, TimeZone, TimeZoneTransition};
use jiff::{Timestamp, ToSpan};

use crate::records::{Course, Lesson};

/// The lessons of a course as events by the clock on the school's wall, with the rules of its time zone, so
/// that a lesson stays at its hour across the change of summer time.
///
/// `now` is the moment at which the calendar is made. The same lesson keeps its id, so that a calendar that is
/// taken again moves it and does not double it.
pub fn course_calendar(course: &Course, lessons: &[Lesson], now: Timestamp) -> String {
    let zone = course.fields.zone();
    let id = zone.iana_name().unwrap_or("UTC").to_owned();
    let mut calendar = ICalendar::new("2.0", "-//Yard Notch//lessons of a course//EN");
    calendar.push(Name::new(escape_text(course.fields.name.as_str())));
    if let (Some(first), Some(last)) = (lessons.iter().map(starts).min(), lessons.iter().map(ends).max()) {
        calendar.add_timezone(rules(&zone, &id, first, last));
    }
    let stamp = now.strftime("%Y%m%dT%H%M%SZ").to_string();
    let school = slug(&course.fields.school);
    for lesson in lessons {
        let mut event = Event::new(format!("lesson-{}.course-{}@{school}", lesson.id, course.id), stamp.clone());
        let (mut start, mut end) = (DtStart::new(local(starts(lesson))), DtEnd::new(local(ends(lesson))));
        start.add(TzIDParam::new(id.clone()));
        end.add(TzIDParam::new(id.clone()));
        event.push(start);
        event.push(end);
        event.push(Summary::new(escape_text(format!("{}: {}", course.fields.name, lesson.fields.title))));
        event.push(Description::new(escape_text(format!("Lesson {}, {} minutes", lesson.number, lesson.fields.minutes))));
        event.push(Location::new(escape_text(format!("{}, {}", course.fields.place, course.fields.school))));
        calendar.add_event(event);
    }
    calendar.to_string()
}

fn starts(lesson: &Lesson) -> DateTime {
    lesson.fields.starts_at
}

/// The end by the same clock; past the end of time nothing ends.
fn ends(lesson: &Lesson) -> DateTime {
    starts(lesson).saturating_add(i64::from(lesson.fields.minutes).minutes())
}

fn local(moment: DateTime) -> String {
    moment.strftime("%Y%m%dT%H%M%S").to_string()
}

/// `+0100`, from seconds.
fn offset(offset: Offset) -> String {
    let seconds = offset.seconds();
    let (sign, size) = (if seconds < 0 { '-' } else { '+' }, seconds.unsigned_abs());
    let rest = if size % 60 == 0 { String::new() } else { format!("{:02}", size % 60) };
    format!("{sign}{:02}{:02}{rest}", size / 3600, size / 60 % 60)
}

/// The rules of a zone from the last change before the first lesson to the last: each change by itself.
fn rules<'a>(zone: &TimeZone, id: &str, first: DateTime, last: DateTime) -> ZoneRules<'a> {
    let instant = |moment: DateTime| zone.to_timestamp(moment).unwrap_or(Timestamp::UNIX_EPOCH);
    let (first, last) = (instant(first), instant(last));
    let standard = |at: DateTime, from: Offset, to: Offset, name: &str| {
        let mut part = Standard::new(local(at), offset(from), offset(to));
        part.push(TzName::new(escape_text(name.to_owned())));
        part
    };
    // What holds before the first of the changes that are told.
    let before: Vec<TimeZoneTransition<'_>> = zone.preceding(first).take(1).collect();
    let from = before.first().map_or(first, TimeZoneTransition::timestamp);
    let earlier = zone.preceding(from).next().map_or_else(|| zone.to_offset(first), |change| change.offset());
    let start = if before.is_empty() { DateTime::constant(1970, 1, 1, 0, 0, 0, 0) } else { earlier.to_datetime(from) };
    let info = zone.to_offset_info(first);
    let held = info.offset();
    let mut found = ZoneRules::standard(id.to_owned(), standard(start, earlier, held, info.abbreviation()));
    if info.dst() == Dst::Yes {
        let mut part = Daylight::new(local(start), offset(earlier), offset(held));
        part.push(TzName::new(escape_text(info.abbreviation().to_owned())));
        found = ZoneRules::daylight(id.to_owned(), part);
    }
    let mut was = held;
    for change in zone.following(first).take_while(|change| change.timestamp() <= last) {
        let at = was.to_datetime(change.timestamp());
        if change.dst() == Dst::Yes {
            let mut part = Daylight::new(local(at), offset(was), offset(change.offset()));
            part.push(TzName::new(escape_text(change.abbreviation().to_owned())));
            found.add_daylight(part);
        } else {
            found.add_standard(standard(at, was, change.offset(), change.abbreviation()));
        }
        was = change.offset();
    }
    found
}

/// Letters and figures of a name, for an id.
fn slug(name: &str) -> String {
    let plain: String = name.to_lowercase().chars().map(|c| if c.is_ascii_alphanumeric() { c } else { ' ' }).collect();
    let slug = plain.split_whitespace().collect::<Vec<_>>().join("-");
    if slug.is_empty() { "school".to_owned() } else { slug }
}
