//! Which copies of a school are kept, and what is said of them.

use jiff::civil::{Date, DateTime, date};
use jiff::{SignedDuration, Span, Timestamp};
use notch_core::copies::{KeepCopies, copies_state, copy_is_due};
use proptest::prelude::*;

const FIRST: Date = date(2026, 1, 1);

fn day(number: i64) -> DateTime {
    FIRST.checked_add(Span::new().days(number)).unwrap().at(3, 0, 0, 0)
}

/// A copy on each of so many days, thinned out after each; days of those that are left.
fn after(days: i64, keep: KeepCopies) -> Vec<Date> {
    let mut copies: Vec<DateTime> = Vec::new();
    for number in 0..days {
        copies.push(day(number));
        let kept = keep.kept(&copies);
        copies = copies.into_iter().zip(kept).filter(|(_, kept)| *kept).map(|(at, _)| at).collect();
    }
    copies.into_iter().map(|at| at.date()).collect()
}

/// 365 days end on Thursday, 31 December: the last seven days, the Sundays before, the ends of the months.
#[test]
fn a_year_of_days_leaves_seven_days_four_weeks_and_twelve_months() {
    let left = after(365, KeepCopies::default());
    let last_days: Vec<Date> = (358..365).map(|number| day(number).date()).collect();
    assert_eq!(left[left.len() - 7..], last_days);
    for sunday in [date(2026, 12, 27), date(2026, 12, 20), date(2026, 12, 13)] {
        assert!(left.contains(&sunday), "{sunday}: {left:?}");
    }
    for month in 1..=12 {
        assert!(left.contains(&date(2026, month, 1).last_of_month()), "{month}: {left:?}");
    }
    assert_eq!(left.len(), 7 + 2 + 11, "Sunday and December's last are among the last seven days");
}

#[test]
fn the_newest_of_a_day_stands_for_it() {
    let at = |hour: i8| date(2026, 3, 4).at(hour, 0, 0, 0);
    let keep = KeepCopies { daily: 1, weekly: 0, monthly: 0 };
    assert_eq!(keep.kept(&[at(8), at(20), at(12)]), [false, true, false]);
    assert_eq!(keep.kept(&[]), [false; 0]);
}

#[test]
fn a_copy_is_due_once_a_day() {
    assert!(copy_is_due(None, FIRST));
    assert!(copy_is_due(Some(FIRST), date(2026, 1, 2)));
    assert!(!copy_is_due(Some(FIRST), FIRST));
    assert!(!copy_is_due(Some(date(2026, 1, 2)), FIRST), "a clock that was put back makes no second one");
}

#[test]
fn an_old_copy_and_a_failed_one_are_cautions() {
    let now: Timestamp = "2026-03-04T12:00:00Z".parse().unwrap();
    let said = |hours: i64, failed: Option<&str>| {
        let state = copies_state(Some(now - SignedDuration::from_hours(hours)), failed, now);
        (state.words.to_string(), state.caution)
    };
    let made = |ago: &str| format!("The latest copy of this school was made and checked {ago}.");
    assert_eq!(said(0, None), (made("less than an hour ago"), false));
    assert_eq!(said(1, None), (made("1 hour ago"), false));
    assert_eq!(said(49, None), (made("2 days ago"), true));
    let (words, caution) = said(3, Some("the disk is full"));
    assert!(caution && words == "No copy could be made: the disk is full. The latest one was made 3 hours ago.", "{words}");
    assert!(!copies_state(None, None, now).caution, "the first one is made as the program begins");
    assert!(copies_state(None, Some("the disk is full"), now).caution);
}

#[test]
fn figures_out_of_range_are_told_at_their_fields() {
    let pointers = |keep: KeepCopies| keep.check().into_iter().map(|problem| problem.pointer).collect::<Vec<_>>();
    assert_eq!(pointers(KeepCopies { daily: 0, weekly: 61, monthly: 121 }), ["/daily", "/weekly", "/monthly"]);
    assert_eq!(pointers(KeepCopies::default()), [""; 0]);
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(64))]

    /// However the copies lie: the newest stays, no more stay than are asked for, and nothing more goes when asked again.
    #[test]
    fn thinning_out_keeps_the_newest_and_comes_to_rest(
        hours in prop::collection::btree_set(0..20_000_i64, 1..80),
        (daily, weekly, monthly) in (1..10_u16, 0..6_u16, 0..14_u16),
    ) {
        let keep = KeepCopies { daily, weekly, monthly };
        let copies: Vec<DateTime> =
            hours.iter().map(|hour| FIRST.at(0, 0, 0, 0).checked_add(Span::new().hours(*hour)).unwrap()).collect();
        let kept = keep.kept(&copies);
        let left: Vec<DateTime> = copies.iter().zip(&kept).filter(|(_, kept)| **kept).map(|(at, _)| *at).collect();
        prop_assert_eq!(left.last(), copies.last());
        prop_assert!(left.len() <= usize::from(daily + weekly + monthly));
        prop_assert!(keep.kept(&left).into_iter().all(|kept| kept));
    }
}
