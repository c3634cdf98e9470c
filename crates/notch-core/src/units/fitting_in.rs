//! How often one length goes into another.

/// Relative slack, so that what exactly fits is not lost to rounding.
pub(crate) const SLACK: f64 = 1e-9;

/// How many whole times `part` goes into `whole`; exact multiples count. `part` must be above 0.
pub(crate) fn times(whole: f64, part: f64) -> u32 {
    let ratio = whole / part;
    if !ratio.is_finite() || ratio <= 0.0 {
        return 0;
    }
    let floored = (ratio * (1.0 + SLACK)).floor();
    if floored >= f64::from(u32::MAX) { u32::MAX } else { floored as u32 }
}

/// `a <= b`, where equal up to rounding counts as fitting.
pub(crate) fn fits(a: f64, b: f64) -> bool {
    a <= b * (1.0 + SLACK)
}
