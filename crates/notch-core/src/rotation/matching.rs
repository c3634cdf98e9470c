//! Guests are seated one by one, those who sit already moving on where it helps (augmenting paths, Kuhn 1955).

/// Places that take so many guests each.
#[derive(Clone, Debug)]
pub(super) struct Places {
    room: Vec<usize>,
    sits: Vec<Vec<usize>>,
    may: Vec<Vec<usize>>,
}

/// Guests for whom the places that they may take are too few.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(super) struct Crowd {
    /// The guests, the last one among them.
    pub guests: Vec<usize>,
    /// All the places that any of them may take.
    pub places: Vec<usize>,
}

impl Places {
    /// Empty places.
    pub fn new(room: Vec<usize>) -> Places {
        Places { sits: vec![Vec::new(); room.len()], room, may: Vec::new() }
    }

    /// Seats the next guest, who may take these places; those who sit stay seated, perhaps elsewhere.
    ///
    /// # Errors
    /// Who is in the way, where there is no place for all; the guest is then not seated.
    pub fn seat(&mut self, may: Vec<usize>) -> Result<(), Crowd> {
        let guest = self.may.len();
        self.may.push(may);
        let mut from: Vec<Option<usize>> = vec![None; self.room.len()];
        let mut guests = vec![guest];
        let mut next = 0;
        while let Some(&asks) = guests.get(next) {
            next += 1;
            for place in self.may[asks].clone() {
                if from[place].is_some() {
                    continue;
                }
                from[place] = Some(asks);
                if self.sits[place].len() < self.room[place] {
                    self.shift(place, guest, &from);
                    return Ok(());
                }
                guests.extend(&self.sits[place]);
            }
        }
        guests.sort_unstable();
        Err(Crowd { guests, places: (0..from.len()).filter(|place| from[*place].is_some()).collect() })
    }

    /// Who sits at a place.
    fn guests(&self, place: usize) -> &[usize] {
        self.sits.get(place).map_or(&[], Vec::as_slice)
    }

    /// Moves each on the path one place on, so that `guest` sits.
    fn shift(&mut self, last: usize, guest: usize, from: &[Option<usize>]) {
        let mut place = last;
        while let Some(who) = from[place] {
            let before = self.sits.iter().position(|sits| sits.contains(&who));
            self.sits[place].push(who);
            match before {
                Some(before) if who != guest => {
                    self.sits[before].retain(|sits| *sits != who);
                    place = before;
                }
                _ => return,
            }
        }
    }
}

/// Gives each guest one of the things that they may have, nobody the same; none to those for whom nothing is left.
/// As many as can be have one; what stands first in a list is given where it can be.
pub(crate) fn one_each(may: &[Vec<i64>]) -> Vec<Option<i64>> {
    let mut things: Vec<i64> = may.iter().flatten().copied().collect();
    things.sort_unstable();
    things.dedup();
    let mut places = Places::new(vec![1; things.len()]);
    for list in may {
        // Who finds none is passed over.
        let _ = places.seat(list.iter().filter_map(|thing| things.binary_search(thing).ok()).collect());
    }
    let mut given = vec![None; may.len()];
    for (place, thing) in things.iter().enumerate() {
        for guest in places.guests(place) {
            if let Some(of) = given.get_mut(*guest) {
                *of = Some(*thing);
            }
        }
    }
    given
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn as_many_as_can_be_have_one_and_nobody_the_same() {
        assert_eq!(one_each(&[vec![7, 8], vec![7], vec![7, 8]]), [Some(8), Some(7), None]);
        assert_eq!(one_each(&[vec![9, 3], vec![]]), [Some(9), None]);
        assert_eq!(one_each(&[]), []);
    }

    #[test]
    fn who_sits_moves_on_and_a_crowd_is_named() {
        let mut places = Places::new(vec![1, 1]);
        assert_eq!(places.seat(vec![0, 1]), Ok(()));
        assert_eq!(places.seat(vec![0]), Ok(()));
        assert_eq!(places.seat(vec![0, 1]), Err(Crowd { guests: vec![0, 1, 2], places: vec![0, 1] }));
        assert_eq!(Places::new(vec![]).seat(vec![]), Err(Crowd { guests: vec![0], places: vec![] }));
    }
}
