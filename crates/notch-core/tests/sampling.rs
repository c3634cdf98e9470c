//! What the way of sampling does to a share: laws, and a trial with a seed.

use notch_core::catalogue::Catalogue;
use notch_core::measure::{Pile, SampleCustom, best_share, binomial, judge, parse_pieces, unseen_share};
use proptest::prelude::*;
use rand::SeedableRng;
use rand_distr::{Distribution, Normal};

#[test]
fn the_best_four_of_twenty_look_ninety_nine_where_forty_are_inside() {
    assert!((best_share(4, 20, 0.4) - 0.995).abs() < 5e-4);
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", "julienne").unwrap();
    let pieces = parse_pieces("3.2 3.2 50\n3.1 3.2 50\n3.2 3.3 50\n3.2 3.2 49").unwrap();
    let verdict = |custom| judge(&catalogue, &target, catalogue.tolerance("school").unwrap(), custom, &pieces);
    assert_eq!(verdict(SampleCustom::BlindTen).flattery, None);
    let flattery = verdict(SampleCustom::BestFour).flattery.unwrap();
    assert!(flattery.words.contains("99.4 of 100 inside where the pile is inside only 40 of 100"), "{}", flattery.words);
    assert!((flattery.nearer - 1.0 / 0.189_128_812_737).abs() < 1e-6);
}

#[test]
fn a_pile_beside_the_target_is_as_in_a_trial() {
    // A pile too thick by as much as it is tolerated: twenty thousand times the best four of twenty.
    let pile = Pile { bias: 0.8, sd: 0.6 };
    let mut random = rand_chacha::ChaCha8Rng::seed_from_u64(11);
    let normal = Normal::new(pile.bias, pile.sd).unwrap();
    let (mut best, mut all, mut inside) = (0.0, 0.0, 0);
    let trials = 20_000;
    for _ in 0..trials {
        let mut errors: Vec<f64> = (0..20).map(|_| f64::abs(normal.sample(&mut random))).collect();
        errors.sort_by(f64::total_cmp);
        best += errors.iter().take(4).sum::<f64>() / 4.0;
        all += errors.iter().sum::<f64>() / 20.0;
        inside += errors.iter().filter(|error| **error <= 0.8).count();
    }
    let each = f64::from(trials);
    assert!((pile.mean_error_of_best(4, 20) / (best / each) - 1.0).abs() < 0.01);
    assert!((pile.mean_error() / (all / each) - 1.0).abs() < 0.01);
    assert!((pile.within(0.8) - inside as f64 / each / 20.0).abs() < 0.005);
}

#[test]
fn edges_are_answered() {
    let even = Pile { bias: 0.5, sd: 0.0 };
    assert_eq!((even.within(0.4), even.within(0.6), even.within(-1.0)), (0.0, 1.0, 0.0));
    assert!((even.mean_error() - 0.5).abs() < 1e-12);
    assert_eq!((best_share(0, 20, 0.5), best_share(4, 0, 0.5)), (0.0, 0.0));
    assert_eq!(Pile { bias: 0.0, sd: 1.0 }.mean_error_of_best(0, 20), 0.0);
    assert_eq!(binomial(3, 0.0), [1.0, 0.0, 0.0, 0.0]);
    assert_eq!(binomial(3, 1.0), [0.0, 0.0, 0.0, 1.0]);
    assert_eq!(unseen_share(0, 0.5).0, 0.5);
}

proptest! {
    #[test]
    fn shares_of_a_binomial_add_up(n in 0u32..300, p in 0.0f64..=1.0) {
        let shares = binomial(n, p);
        prop_assert_eq!(shares.len(), n as usize + 1);
        prop_assert!((shares.iter().sum::<f64>() - 1.0).abs() < 1e-9);
        let mean: f64 = (0u32..).zip(&shares).map(|(k, share)| f64::from(k) * share).sum();
        prop_assert!((mean - f64::from(n) * p).abs() < 1e-7 * f64::from(n.max(1)));
    }

    #[test]
    fn the_chosen_never_look_worse_than_the_pile(chosen in 1u32..10, more in 0u32..40, p in 0.0f64..=1.0) {
        let of = chosen + more;
        prop_assert!(best_share(chosen, of, p) >= p - 1e-12);
        prop_assert!((best_share(of, of, p) - p).abs() < 1e-9, "all of them are the pile");
        prop_assert!(best_share(chosen, of + 1, p) >= best_share(chosen, of, p) - 1e-12);
    }

    #[test]
    fn a_wider_tolerance_never_holds_fewer(bias in -3.0f64..3.0, sd in 0.05f64..3.0, tau in 0.0f64..5.0, more in 0.0f64..2.0) {
        let pile = Pile { bias, sd };
        prop_assert!(pile.within(tau + more) >= pile.within(tau) - 1e-12);
        prop_assert!((0.0..=1.0).contains(&pile.within(tau)));
        let other_side = Pile { bias: -bias, sd };
        prop_assert!((pile.within(tau) - other_side.within(tau)).abs() < 1e-12);
        prop_assert!(pile.mean_error() >= bias.abs() - 1e-12);
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn the_nearest_are_nearer_the_fewer_and_the_more_they_are_chosen_from(
        bias in -1.0f64..1.0, sd in 0.2f64..2.0, chosen in 1u32..6, more in 1u32..15,
    ) {
        let pile = Pile { bias, sd };
        let of = chosen + more;
        prop_assert!(pile.mean_error_of_best(chosen, of) <= pile.mean_error_of_best(chosen + 1, of) + 1e-9);
        prop_assert!(pile.mean_error_of_best(chosen, of + 1) <= pile.mean_error_of_best(chosen, of) + 1e-9);
        prop_assert!((pile.mean_error_of_best(of, of) / pile.mean_error() - 1.0).abs() < 1e-6);
    }
}
