//! Strokes of the chain from a squared block to finished pieces.

/// The block and how it is gathered: counts of pieces, planks to a stack, sticks to a bundle.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Chain {
    /// Planks (i).
    pub planks: u32,
    /// Sticks from each plank (j).
    pub sticks: u32,
    /// Pieces from each stick (k).
    pub pieces: u32,
    /// Planks stacked for one row of stick cuts (p), at least 1.
    pub stack: u32,
    /// Sticks gathered for one row of crosscuts (q), at least 1.
    pub bundle: u32,
}

/// Strokes by kind.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Strokes {
    /// Four sides of the block.
    pub squaring: u64,
    /// Two ends.
    pub ends: u64,
    /// i − 1.
    pub planking: u64,
    /// ⌈i / p⌉ (j − 1).
    pub sticking: u64,
    /// ⌈i j / q⌉ (k − 1).
    pub crosscutting: u64,
    /// Times that something is stacked or gathered: stacks, and bundles where there are crosscuts.
    pub regroupings: u64,
}

impl Strokes {
    /// All strokes.
    pub fn total(&self) -> u64 {
        self.squaring + self.ends + self.planking + self.sticking + self.crosscutting
    }
}

/// Counts the strokes for one block:
/// 4 + 2 + (i − 1) + ⌈i / p⌉ (j − 1) + ⌈i j / q⌉ (k − 1).
///
/// The last stack may be short and costs as much as a full one; bundles are filled across stacks.
/// An empty block (any count 0) takes no strokes.
pub fn strokes(chain: Chain) -> Strokes {
    let [i, j, k] = [chain.planks, chain.sticks, chain.pieces].map(u64::from);
    if i == 0 || j == 0 || k == 0 {
        return Strokes::default();
    }
    let stacks = i.div_ceil(u64::from(chain.stack.max(1)));
    let bundles = (i * j).div_ceil(u64::from(chain.bundle.max(1)));
    Strokes {
        squaring: 4,
        ends: 2,
        planking: i - 1,
        sticking: stacks * (j - 1),
        crosscutting: bundles.saturating_mul(k - 1),
        regroupings: if j > 1 { stacks } else { 0 } + if k > 1 { bundles } else { 0 },
    }
}
