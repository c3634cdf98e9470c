//! The food of a lesson: how much, where it goes, for whom not, and one order over a course.

use crate::common::{CATALOGUE, course, exercise_fields, student};
use jiff::civil::{Date, date};
use notch_core::at_hand::AtHand;
use notch_core::catalogue::{Catalogue, Sold};
use notch_core::lesson::{good_at_least, pieces_to_cut};
use notch_core::own::{OwnFood, OwnValue, with_own};
use notch_core::people::{AgeBand, Hand};
use notch_core::progress::GoodShares;
use notch_core::records::{
    Amount, Course, DayOfWeek, EndUse, Exercise, ExerciseFields, FoodEnd, GoodWanted, Instead, Lesson, LessonFields,
    ProduceFields, StoredSegment, Student,
};
use notch_core::views::{
    CourseOrder, FlowKind, ProduceInput, ProduceView, check_produce, course_order, delivery_day, order_table, produce_view,
};
use proptest::prelude::*;

const TUESDAY: Date = date(2026, 10, 6);

/// A class with what it cuts, each by food, cut and amount.
struct Class {
    catalogue: Catalogue,
    course: Course,
    students: Vec<Student>,
    cuts: Vec<(&'static str, &'static str, Amount)>,
    own_minutes: Option<f64>,
    fields: ProduceFields,
}

fn class(pupils: i64, cuts: &[(&'static str, &'static str, Amount)]) -> Class {
    let pupil = |id: i64| Student { id, ..student(&format!("Student {id}"), Hand::Right, &[]) };
    Class {
        catalogue: CATALOGUE.clone(),
        course: course(AgeBand::Adult),
        students: (1..=pupils).map(pupil).collect(),
        cuts: cuts.to_vec(),
        own_minutes: None,
        fields: ProduceFields::default(),
    }
}

const fn units(count: u16) -> Amount {
    Amount::Units { count }
}

const fn pieces(count: u16) -> Amount {
    Amount::Pieces { count }
}

impl Class {
    fn exercises(&self) -> Vec<Exercise> {
        let of = |(id, (food, cut, amount)): (i64, &(&str, &str, Amount))| {
            let fields = ExerciseFields { own_minutes: self.own_minutes, ..exercise_fields(food, cut, *amount) };
            Exercise { id, lesson_id: 1, version: 1, archived: false, pinned: true, kept_warnings: Vec::new(), fields }
        };
        (1..).zip(&self.cuts).map(of).collect()
    }

    fn lesson(&self, id: i64, on: Date) -> Lesson {
        let segments = self.exercises().iter().map(|exercise| StoredSegment::practice(exercise.id, 20)).collect();
        let fields = LessonFields { title: format!("Lesson {id}"), starts_at: on.at(18, 30, 0, 0), minutes: 110, segments };
        Lesson { id, course_id: 1, number: id as u16, version: 1, produce: self.fields.clone(), fields }
    }

    fn at_hand(&self) -> AtHand<'_> {
        AtHand { catalogue: &self.catalogue, course: &self.course, students: &self.students, knives: &[] }
    }

    fn view(&self) -> ProduceView {
        let (lesson, exercises) = (self.lesson(1, TUESDAY), self.exercises());
        let (at_hand, shares) = (self.at_hand(), GoodShares::default());
        let input =
            ProduceInput { at_hand: &at_hand, lesson: &lesson, exercises: &exercises, shares: &shares, fields: &self.fields };
        produce_view(&input)
    }

    fn order(&self, days: &[Date]) -> CourseOrder {
        let lessons: Vec<_> = (1..).zip(days).map(|(id, day)| (self.lesson(id, *day), self.exercises())).collect();
        let (first, last) = (days.iter().min().unwrap(), days.iter().max().unwrap());
        course_order(&self.at_hand(), &lessons, &GoodShares::default(), (*first, *last))
    }
}

#[test]
fn one_food_in_two_exercises_is_one_line_with_one_spare() {
    for (food, cut) in [("cabbage", "chiffonade"), ("carrot", "julienne"), ("raw_fish", "portion"), ("bread", "slice")] {
        for pupils in [1, 6, 14, 30] {
            let one = class(pupils, &[(food, cut, units(1))]).view().order;
            let both = class(pupils, &[(food, cut, units(1)), (food, cut, units(1))]).view().order;
            let ([one], [both]) = (one.as_slice(), both.as_slice()) else { panic!("{food}: not one line") };
            assert_eq!((both.students, both.cuts.len()), (2 * one.students, 2), "{food}");
            assert_eq!(both.spare, both.students.div_ceil(10).max(1), "{food}, {pupils} students");
            assert_eq!(both.total, both.students + both.demonstration + both.spare, "{food}");
            let unit = one.grams / f64::from(one.total);
            assert!((both.grams - unit * f64::from(both.total)).abs() < 1e-6, "{food}: {} g", both.grams);
        }
    }
}

#[test]
fn sticks_feed_dice_and_only_what_lacks_is_bought() {
    // A carrot gives 75 sticks of 3.2 mm; of 75 nine in ten students have 47 good ones at 70 %, ten of which are measured.
    let sticks = ("carrot", "julienne", units(1));
    let alone = class(14, &[("carrot", "brunoise", pieces(300))]).view();
    let fed = class(14, &[sticks, ("carrot", "brunoise", pieces(300))]).view();
    let need = &fed.exercises[1];
    assert_eq!(need.fed_by, Some(1));
    let cubes = need.students[0].fed;
    assert_eq!(cubes, 300, "300 cubes are made of 20 sticks, 15 from each");
    assert_eq!((need.units_students, need.units_fed), (0, alone.exercises[0].units_students));
    assert_eq!(fed.order[0].students, 14, "no carrot more than for the sticks");
    let many = class(14, &[sticks, ("carrot", "brunoise", pieces(1500))]).view();
    assert!(many.exercises[1].students[0].fed < 1500 && many.exercises[1].units_students > 0, "the sticks are not enough");
    let turned_round = class(14, &[("carrot", "brunoise", pieces(300)), sticks]).view();
    assert_eq!(turned_round.exercises[1].fed_by, None, "dice are not made of sticks that are not cut yet");
    let other = class(14, &[("potato", "julienne", units(1)), ("carrot", "brunoise", pieces(300))]).view();
    assert_eq!(other.exercises[1].fed_by, None, "nor of another food");
}

#[test]
fn what_is_left_of_a_unit_is_cut_in_the_next_exercise() {
    // A courgette gives some 60 coins and more sticks: 20 of each are no reason for two courgettes.
    let cuts =
        [("courgette", "coins", pieces(15)), ("courgette", "julienne", pieces(20)), ("courgette", "medium_dice", pieces(10))];
    let view = class(14, &cuts).view();
    let order = &view.order;
    assert_eq!((order[0].students, order[0].demonstration, order[0].spare), (14, 1, 2));
    let words = view.exercises[0].words.last().unwrap().to_string();
    let shared = "Shared with julienne of courgette, medium dice of courgette: what one leaves is cut in the next";
    assert_eq!(words, format!("{shared}, so the order has 14 for all of them."));
    let whole = class(14, &[("courgette", "coins", units(1)), ("courgette", "julienne", units(1))]).view().order;
    assert_eq!((whole[0].students, whole[0].demonstration), (28, 2), "whole ones are set");
}

#[test]
fn what_several_exercises_share_is_rounded_up_and_shown_once() {
    // Wedges: 14 quarters are 3.5 cabbages; with 150 g of salad each it is 5.9: six, and nothing is over to show with.
    let wedges = ("cabbage", "wedges", pieces(2));
    let salad = ("cabbage", "chiffonade", Amount::Grams { count: 150 });
    let of = |cuts: &[(&'static str, &'static str, Amount)]| {
        let line = &class(14, cuts).view().order[0];
        (line.students, line.demonstration, line.spare)
    };
    assert_eq!(of(&[wedges]), (4, 0, 1), "half a cabbage is over: it is shown from that");
    assert_eq!(of(&[wedges, salad]), (6, 1, 1));
}

#[test]
fn what_is_chopped_goes_on_into_the_mince_by_weight() {
    let view = class(10, &[("parsley", "rough_chop", units(1)), ("parsley", "mince", units(1))]).view();
    assert_eq!((view.exercises[1].fed_by, view.exercises[1].units_students), (Some(1), 0));
    let flow = &view.flows[0];
    let cuts: Vec<&str> = flow.nodes.iter().filter(|n| n.kind == FlowKind::Cut).map(|n| n.label.as_str()).collect();
    assert_eq!(cuts, ["rough chop", "mince"]);
    let into = flow.links.iter().find(|link| link.to == 2 && flow.nodes[link.from].kind == FlowKind::Cut);
    assert!(into.is_some(), "the pile goes on: {:?}", flow.links);
}

#[test]
fn for_good_pieces_more_are_cut_until_nine_in_ten_have_enough() {
    let mut wanted = class(12, &[("carrot", "julienne", pieces(40))]);
    let plain = wanted.view();
    assert_eq!(plain.exercises[0].students[0].good, good_at_least(40, 0.7));
    wanted.fields.good = vec![GoodWanted { exercise_id: 1, count: 80 }];
    let more = wanted.view();
    let to_cut = pieces_to_cut(80, 0.7).unwrap();
    assert_eq!((more.exercises[0].to_cut, more.exercises[0].students[0].to_cut), (Some(to_cut), to_cut));
    assert!(more.exercises[0].students.iter().all(|student| student.good >= 80));
    let per_unit = 75;
    assert_eq!(more.exercises[0].units_students, 12 * to_cut.div_ceil(per_unit));
    assert!(more.order[0].total > plain.order[0].total);
    let minutes = more.exercises[0].minutes_more.unwrap();
    assert!((2..60).contains(&minutes) && plain.exercises[0].minutes_more.is_none(), "{minutes}");
    let words = more.exercises[0].words.iter().map(ToString::to_string).collect::<String>();
    assert!(words.contains(&format!("cuts {to_cut}, {minutes} minutes longer than the lesson plans.")), "{words}");
    wanted.own_minutes = Some(12.0);
    assert_eq!(wanted.view().exercises[0].minutes_more, None, "who set the minutes has them");
}

#[test]
fn who_is_allergic_gets_a_food_like_it_or_a_dry_drill() {
    let mut galley = class(6, &[("celery", "batonnet", pieces(20))]);
    galley.students[2].fields.allergies = vec!["Celery".into()];
    let view = galley.view();
    let case = &view.allergies[0];
    assert_eq!((case.names.as_slice(), case.allergens.as_slice()), (&["Student 3".to_owned()][..], &["celery".to_owned()][..]));
    assert!(!case.alternatives.is_empty() && case.alternatives.iter().all(|other| other.food != "celeriac"), "{case:?}");
    assert_eq!(view.exercises[0].count, 5, "no celery is bought for them");
    galley.fields.instead = vec![Instead { exercise_id: 1, food: case.alternatives[0].food.clone() }];
    let chosen = galley.view();
    assert_eq!(chosen.order.len(), 2);
    assert!(chosen.order[1].cuts[0].ends_with("for Student 3") && chosen.order[1].demonstration == 0);
    assert!(chosen.allergies[0].words.to_string().contains("own board, knife and cloth"));
    let problems = |food: &str| {
        let fields = ProduceFields { instead: vec![Instead { exercise_id: 1, food: food.into() }], ..ProduceFields::default() };
        check_produce(&galley.at_hand(), &galley.exercises(), &fields)
    };
    assert_eq!(problems("celeriac")[0].pointer, "/instead/0/food");
    assert!(problems("celeriac")[0].message.to_string().contains("no food for Student 3"));
    assert!(!problems("parsley").is_empty(), "no batonnet of parsley");
    assert!(problems("carrot").is_empty());
    // Every food that takes the cut is out of reach: nothing is proposed, and it is said.
    galley.fields.instead.clear();
    galley.catalogue.foods.retain(|food| food.id == "celery");
    let none = galley.view();
    assert!(none.allergies[0].alternatives.is_empty());
    assert!(none.allergies[0].words.to_string().contains("A dry drill on an empty board"));
}

#[test]
fn an_order_costs_what_is_paid_and_says_what_it_does_not_count() {
    let cost = |price: Option<f64>, sold: Option<Sold>, budget: Option<f64>| {
        let mut class = class(6, &[("carrot", "julienne", pieces(40))]);
        let carrot = class.catalogue.foods.iter_mut().find(|food| food.id == "carrot").unwrap();
        (carrot.price, carrot.sold) = (price, sold);
        class.course.fields.resources.food_budget = budget;
        let view = class.view();
        (view.order[0].clone(), view.order_cost)
    };
    assert_eq!(cost(None, None, None).1, None, "nobody asked");
    let (line, all) = cost(Some(2.5), None, Some(0.5));
    let all = all.unwrap();
    assert!((all.cost - line.grams * 2.5 / 1000.0).abs() < 1e-9 && line.cost == Some(all.cost), "{all:?}");
    assert!(all.over && all.words.to_string().ends_with("; it may cost 0.50."), "{all:?}");
    assert!(!cost(Some(2.5), None, Some(500.0)).1.unwrap().over);
    assert_eq!(cost(Some(0.0), None, None).1.unwrap().cost, 0.0, "from the school's own garden");
    let unpriced = cost(None, None, Some(10.0)).1.unwrap();
    assert!(!unpriced.over && unpriced.words.to_string().contains("nobody has said the price"), "{unpriced:?}");
    // Eight carrots of 93 g are one bag of a kilogram, which is paid as a whole.
    let (bag, _) = cost(Some(2.5), Some(Sold { pack: "bag".into(), grams: 1000.0 }), None);
    assert_eq!((bag.packs.as_deref(), bag.cost), (Some("1 × bag of 1 kg"), Some(2.5)));
}

#[test]
fn a_food_nobody_sells_in_that_unit_is_refused() {
    let sold = |food: &str, grams: f64| {
        let based_on = CATALOGUE.food(food).unwrap();
        let own = OwnFood { sold: Some(Sold { pack: "bag".into(), grams }), ..OwnFood::from(based_on) };
        let value = OwnValue::Food { based_on: food.into(), food: own };
        let problems = with_own(&CATALOGUE, &[value]).err().unwrap_or_default();
        problems.into_iter().map(|problem| problem.message.to_string()).collect::<String>()
    };
    assert!(sold("cabbage", 250.0).contains("nobody sells it in a bag of 250 g"), "{}", sold("cabbage", 250.0));
    assert!(sold("carrot", 5.0).contains("10 to 50000 g"));
    assert_eq!(sold("carrot", 1000.0), "");
}

#[test]
fn food_comes_on_the_last_delivery_day_before_the_lesson() {
    use DayOfWeek::{Monday, Thursday, Tuesday};
    assert_eq!(delivery_day(TUESDAY, &[]), date(2026, 10, 5));
    assert_eq!(delivery_day(TUESDAY, &[Monday, Thursday]), date(2026, 10, 5));
    assert_eq!(delivery_day(TUESDAY, &[Thursday]), date(2026, 10, 1));
    assert_eq!(delivery_day(TUESDAY, &[Tuesday]), date(2026, 9, 29), "not on the day itself");
}

#[test]
fn lessons_that_share_a_delivery_share_its_lines() {
    let mut class = class(14, &[("carrot", "julienne", units(1)), ("onion", "medium_dice", units(1))]);
    class.course.fields.resources.delivery_days = vec![DayOfWeek::Monday];
    let order = class.order(&[TUESDAY, date(2026, 10, 8), date(2026, 10, 13)]);
    assert_eq!(order.deliveries.iter().map(|each| each.on).collect::<Vec<_>>(), [date(2026, 10, 5), date(2026, 10, 12)]);
    let (two, one) = (&order.deliveries[0], &order.deliveries[1]);
    assert_eq!((two.lessons.len(), one.lessons.len()), (2, 1));
    for (both, single) in two.lines.iter().zip(&one.lines) {
        assert_eq!(both.total, 2 * single.total);
        assert!((both.grams - 2.0 * single.grams).abs() < 1e-9);
    }
    let table = order_table(&order);
    assert_eq!(table.lines().count(), 1 + 4);
    assert!(table.contains("2026-10-05,34 carrots,medium,34,28,2,4,"), "{table}");
}

#[test]
fn what_becomes_of_a_food_is_said_in_its_flow() {
    let mut class = class(4, &[("carrot", "julienne", units(1))]);
    class.fields.ends = vec![FoodEnd { food: "carrot".into(), end: EndUse::TakenHome }];
    let flow = &class.view().flows[0];
    let end = flow.nodes.iter().find(|node| node.kind == FlowKind::End).unwrap();
    assert_eq!((flow.end, end.label.as_str()), (EndUse::TakenHome, "taken home"));
    let trimmings = flow.nodes.iter().find(|node| node.kind == FlowKind::Trimmings).unwrap();
    assert_eq!(trimmings.label, "stock");
}

/// Two cuts of foods that are taught on them.
fn any_cuts() -> impl Strategy<Value = Vec<(&'static str, &'static str, Amount)>> {
    let pairs: Vec<(&'static str, &'static str)> =
        CATALOGUE.foods.iter().flat_map(|food| food.taught.iter().map(|cut| (food.id.as_str(), cut.as_str()))).collect();
    let amount = prop_oneof![
        (1u16..200).prop_map(|count| Amount::Pieces { count }),
        (1u16..4).prop_map(|count| Amount::Units { count }),
        (1u16..60).prop_map(|tens| Amount::Grams { count: tens * 10 }),
    ];
    proptest::collection::vec((proptest::sample::select(pairs), amount), 1..5)
        .prop_map(|cuts| cuts.into_iter().map(|((food, cut), amount)| (food, cut, amount)).collect())
}

proptest! {
    #[test]
    fn nothing_is_lost_on_the_way_from_bought_to_eaten(cuts in any_cuts(), pupils in 0i64..40, wanted in 1u16..60) {
        let mut class = class(pupils, &cuts);
        class.fields.good = vec![GoodWanted { exercise_id: 1, count: wanted }];
        let view = class.view();
        for flow in &view.flows {
            let line = view.order.iter().find(|line| line.food == flow.food).unwrap();
            for (index, node) in flow.nodes.iter().enumerate() {
                let sum = |of: fn(&notch_core::views::FlowLink) -> usize| {
                    flow.links.iter().filter(|link| of(link) == index).map(|link| link.grams).sum::<f64>()
                };
                let (comes, goes) = (sum(|link| link.to), sum(|link| link.from));
                // A place within the flow hands on what it got, but for crumbs that are not drawn.
                if matches!(node.kind, FlowKind::Cut | FlowKind::Shown) {
                    prop_assert!((comes - goes).abs() < 0.6, "{}: {comes} in, {goes} out of {}", flow.name, node.label);
                }
                if node.kind == FlowKind::Bought {
                    prop_assert!((goes - line.grams).abs() < 0.6, "{}: {goes} of {}", flow.name, line.grams);
                }
            }
            prop_assert!(flow.links.iter().all(|link| link.grams > 0.0 && flow.nodes[link.from].column < flow.nodes[link.to].column));
        }
    }

    #[test]
    fn what_is_fed_is_never_bought_twice_and_more_students_never_take_less(cuts in any_cuts(), pupils in 1i64..20) {
        let (few, many) = (class(pupils, &cuts).view(), class(pupils + 3, &cuts).view());
        for (few, many) in few.order.iter().zip(&many.order) {
            prop_assert!(few.total <= many.total, "{}", few.what);
        }
        for need in &few.exercises {
            prop_assert!(need.fed_by.is_some() || need.units_fed == 0 && need.students.iter().all(|each| each.fed == 0));
            prop_assert!(need.students.iter().all(|each| each.fed <= each.to_cut && each.good <= each.to_cut));
        }
    }

    #[test]
    fn good_pieces_are_those_that_nine_in_ten_have(cut in 0u32..400, share in 0.3f64..1.0) {
        let good = good_at_least(cut, share);
        prop_assert!(good <= cut);
        prop_assert!(good == 0 || pieces_to_cut(good, share).unwrap() <= cut);
        prop_assert!(pieces_to_cut(good + 1, share).unwrap() > cut);
    }

    #[test]
    fn a_share_lies_between_what_is_seen_and_what_is_known(student in 0i64..5) {
        let share = GoodShares::default().share(student, "julienne");
        prop_assert_eq!((share.seen, share.inside), (0, 0));
        prop_assert!((share.share - notch_core::progress::UNKNOWN_SHARE).abs() < 1e-9);
    }
}

#[test]
fn coins_feed_half_moons_by_two() {
    let view = class(3, &[("carrot", "coins", units(1)), ("carrot", "half_moons", pieces(20))]).view();
    assert_eq!(view.exercises[1].fed_by, Some(1));
    assert_eq!((view.exercises[1].students[0].fed, view.exercises[1].units_students), (20, 0));
}
