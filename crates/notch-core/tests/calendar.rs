//! The lessons of a course as a calendar, read back by a small reader of its own.

use crate::common::course;
use jiff::civil::{DateTime, date};
use jiff::tz::{AmbiguousOffset, TimeZone};
use jiff::{Timestamp, ToSpan};
use notch_core::calendar::course_calendar;
use notch_core::people::AgeBand;
use notch_core::records::{Course, Lesson, LessonFields};
use proptest::prelude::*;

fn lesson(number: u16, starts_at: DateTime, minutes: u16, title: &str) -> Lesson {
    let fields = LessonFields { title: title.into(), starts_at, minutes, segments: Vec::new() };
    Lesson {
        id: i64::from(number) + 10,
        course_id: 1,
        number,
        version: 1,
        produce: notch_core::records::ProduceFields::default(),
        fields,
    }
}

fn in_zone(zone: &str) -> Course {
    let mut course = course(AgeBand::Adult);
    course.fields.time_zone = zone.into();
    course
}

const NOW: Timestamp = Timestamp::constant(1_791_300_000, 0);

/// Lines put together again, each as its name with parameters and its value.
fn lines(text: &str) -> Vec<(String, String)> {
    assert!(text.split('\n').filter(|line| !line.is_empty()).all(|line| line.ends_with('\r')), "lines end as the format asks");
    let whole = text.replace("\r\n ", "");
    whole.lines().map(|line| line.split_once(':').map(|(name, value)| (name.to_owned(), value.to_owned())).unwrap()).collect()
}

/// The lines of each part of a kind.
fn parts(lines: &[(String, String)], kind: &str) -> Vec<Vec<(String, String)>> {
    let mut found = Vec::new();
    let mut open: Option<Vec<(String, String)>> = None;
    for (name, value) in lines {
        match (name.as_str(), value == kind) {
            ("BEGIN", true) => open = Some(Vec::new()),
            ("END", true) => found.extend(open.take()),
            _ => {
                if let Some(part) = &mut open {
                    part.push((name.clone(), value.clone()));
                }
            }
        }
    }
    assert!(open.is_none());
    found
}

fn value<'l>(part: &'l [(String, String)], name: &str) -> &'l str {
    &part.iter().find(|(key, _)| key.split(';').next() == Some(name)).unwrap_or_else(|| panic!("no {name}")).1
}

fn civil(text: &str) -> DateTime {
    DateTime::strptime("%Y%m%dT%H%M%S", text).unwrap()
}

fn seconds(offset: &str) -> i64 {
    let part = |at: std::ops::Range<usize>| offset.get(at).map_or(0, |text| text.parse::<i64>().unwrap());
    let size = part(1..3) * 3600 + part(3..5) * 60 + part(5..7);
    if offset.starts_with('-') { -size } else { size }
}

/// The moment of a local time by the rules that the calendar carries: the latest change that has come.
fn by_the_rules(lines: &[(String, String)], at: DateTime) -> i64 {
    let mut rules = parts(lines, "STANDARD");
    rules.extend(parts(lines, "DAYLIGHT"));
    let utc = |local: DateTime, offset: i64| local.to_zoned(TimeZone::UTC).unwrap().timestamp().as_second() - offset;
    let rule = rules
        .iter()
        .filter(|rule| civil(value(rule, "DTSTART")) <= at)
        .max_by_key(|rule| civil(value(rule, "DTSTART")))
        .unwrap_or_else(|| panic!("no rule for {at}"));
    utc(at, seconds(value(rule, "TZOFFSETTO")))
}

#[test]
fn lessons_stand_at_their_hour_on_both_sides_of_the_change_of_summer_time() {
    let days = [date(2026, 10, 6), date(2026, 10, 20), date(2026, 10, 27), date(2027, 4, 6)];
    let lessons: Vec<Lesson> =
        (1u16..).zip(days).map(|(number, day)| lesson(number, day.at(18, 30, 0, 0), 110, "Sticks")).collect();
    let text = course_calendar(&in_zone("Europe/Lisbon"), &lessons, NOW);
    let lines = lines(&text);
    let events = parts(&lines, "VEVENT");
    assert_eq!(events.len(), 4);
    assert_eq!(parts(&lines, "DAYLIGHT").len() + parts(&lines, "STANDARD").len(), 3);
    let moments: Vec<i64> = events.iter().map(|event| by_the_rules(&lines, civil(value(event, "DTSTART")))).collect();
    // 17:30, 17:30, 18:30 and 17:30 by Greenwich.
    let hours: Vec<i64> = moments.iter().map(|moment| moment.rem_euclid(86_400) / 60).collect();
    assert_eq!(hours, [1050, 1050, 1110, 1050]);
    assert!(
        text.contains("DTSTART;TZID=Europe/Lisbon:20261006T183000\r\n")
            && text.contains("DTEND;TZID=Europe/Lisbon:20261006T202000\r\n")
    );
    assert_eq!(value(&events[0], "DTSTAMP"), NOW.strftime("%Y%m%dT%H%M%SZ").to_string());
}

#[test]
fn what_is_written_is_escaped_and_each_lesson_keeps_its_id() {
    let mut course = in_zone("Asia/Tokyo");
    course.fields.name = "Knives, forks; and spoons".into();
    course.fields.school = "Æther & Søn 3".into();
    let day = date(2026, 10, 6).at(9, 0, 0, 0);
    let long = "Sticks from an uncommonly long title that goes on and on, 刃物の稽古 刃物の稽古 刃物の稽古";
    let first = course_calendar(&course, &[lesson(1, day, 60, long)], NOW);
    let moved = course_calendar(&course, &[lesson(1, day.saturating_add(7.days()), 60, long)], NOW);
    let (a, b) = (lines(&first), lines(&moved));
    assert_eq!(value(&a, "UID"), value(&b, "UID"));
    assert_eq!(value(&a, "UID"), "lesson-11.course-1@ther-s-n-3");
    assert_eq!(value(&a, "SUMMARY"), format!("Knives\\, forks\\; and spoons: {}", long.replace(',', "\\,")));
    assert!(first.split("\r\n").all(|line| line.len() <= 76), "long lines are folded");
}

#[test]
fn a_course_without_lessons_and_a_zone_that_is_no_longer_known_make_a_calendar() {
    assert!(parts(&lines(&course_calendar(&in_zone("Europe/Lisbon"), &[], NOW)), "VEVENT").is_empty());
    let text = course_calendar(&in_zone("Atlantis/Deep"), &[lesson(1, date(2026, 1, 1).at(0, 0, 0, 0), 10, "x")], NOW);
    assert!(text.contains("DTSTART;TZID=UTC:20260101T000000"), "{text}");
    let end = lesson(1, DateTime::MAX, 600, "the end of time");
    assert!(course_calendar(&in_zone("Europe/Lisbon"), &[end], NOW).contains("99991231T235959"));
}

proptest! {
    /// Whatever the zone, who reads the rules that are sent comes to the moment that the school means.
    #[test]
    fn the_rules_that_are_sent_say_what_the_zone_says(zone in 0usize..10_000, year in 2000i16..2100, day in 1i16..=360, hour in 0i8..24, after in 0i64..900) {
        let names = notch_core::zone::names();
        let name = &names[zone % names.len()];
        let zone = notch_core::zone::named(name).unwrap();
        let first = date(year, 1, 1).saturating_add(i64::from(day).days()).at(hour, 30, 0, 0);
        let second = first.saturating_add(after.days());
        let text = course_calendar(&in_zone(name), &[lesson(1, first, 60, "a"), lesson(2, second, 60, "b")], NOW);
        let lines = lines(&text);
        for at in [first, second] {
            if let AmbiguousOffset::Unambiguous { offset } = zone.to_ambiguous_timestamp(at).offset() {
                let meant = offset.to_timestamp(at).unwrap().as_second();
                prop_assert_eq!(by_the_rules(&lines, at), meant, "{} at {}\n{}", name, at, text);
            }
        }
    }
}
