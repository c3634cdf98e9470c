//! How many pieces to cut, so that nearly everyone has enough good ones.

use crate::problem::Problem;

/// Share of students that should have enough.
pub const CONFIDENCE: f64 = 0.9;

/// Most pieces that are asked for.
const MOST: u32 = 100_000;

/// Least share that comes out good: of a thousand pieces one. The pieces are counted one by one.
const LEAST_SUCCESS: f64 = 0.001;

/// The smallest `n` with P(Bin(n, p) ≥ good) ≥ 0.9: pieces to cut, so that nine in ten students have
/// `good` pieces when a share `success` comes out good.
///
/// # Errors
/// A share outside 0.001 to 1, or more pieces than 100,000.
pub fn pieces_to_cut(good: u32, success: f64) -> Result<u32, Vec<Problem>> {
    if !(LEAST_SUCCESS..=1.0).contains(&success) {
        let allowed = format!("{LEAST_SUCCESS} to 1");
        return Err(vec![Problem::new("/success", "Come out good", success, "is out of range", allowed)]);
    }
    if good > MOST {
        return Err(vec![Problem::new("/good", "Good pieces for each student", good, "are too many", format!("up to {MOST}"))]);
    }
    if good == 0 {
        return Ok(0);
    }
    if success >= 1.0 {
        return Ok(good);
    }
    // The chance that the good-th good piece is the n-th one cut, summed over n, in logarithms so
    // that nothing underflows: negative binomial, one step a piece.
    let (ln_p, ln_q, needed) = (success.ln(), (-success).ln_1p(), f64::from(good));
    let (mut n, mut ln_term, mut reached) = (f64::from(good), needed * ln_p, 0.0);
    loop {
        reached += ln_term.exp();
        if reached >= CONFIDENCE - 1e-12 {
            return Ok(n as u32);
        }
        if n >= f64::from(u32::MAX) / 2.0 {
            return Err(vec![Problem::new("/success", "Come out good", success, "never gives enough", "a larger share")]);
        }
        ln_term += (n / (n - needed + 1.0)).ln() + ln_q;
        n += 1.0;
    }
}

/// The most good pieces that nine in ten students have of `cut` pieces, when a share `success` comes out good.
/// What [`pieces_to_cut`] answers, asked the other way round; 0 for a share that it refuses.
pub fn good_at_least(cut: u32, success: f64) -> u32 {
    let enough = |good: u32| pieces_to_cut(good, success).is_ok_and(|pieces| pieces <= cut);
    let (mut least, mut most) = (0, cut.min(MOST));
    while least < most {
        let middle = least + (most - least).div_ceil(2);
        if enough(middle) {
            least = middle;
        } else {
            most = middle - 1;
        }
    }
    least
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn bad_shares_are_told_and_the_edges_are_taken() {
        assert!(pieces_to_cut(4, 0.0).is_err() && pieces_to_cut(2_000, 1e-7).is_err());
        assert!(pieces_to_cut(4, 1.1).is_err() && pieces_to_cut(4, f64::NAN).is_err());
        assert_eq!(pieces_to_cut(4, 1.0).unwrap(), 4);
        assert_eq!(pieces_to_cut(0, 0.5).unwrap(), 0);
        assert_eq!(pieces_to_cut(1, 0.9).unwrap(), 1);
        assert_eq!((good_at_least(10, 1.0), good_at_least(10, 0.5), good_at_least(0, 0.5), good_at_least(9, 0.0)), (10, 3, 0, 0));
    }
}
