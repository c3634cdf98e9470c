//! The whole course on one picture: what is taught when, why it stands there, what is broken, what is reached.

use jiff::civil::{Date, DateTime};
use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::catalogue::{SegmentKind, Strand};
use crate::draft::{
    BlockKind, Choice, ClassEvidence, DraftBlock, DraftQuestion, DraftSession, Drafting, GoalFields, GoalState, HardRule, LONGER,
    MOST_SESSIONS, Plan, Remedy, Said, Weighed, remedies,
};
use crate::drawing::{SectionDrawing, food_section};
use crate::problem::Problem;
use crate::records::{Attempt, Exercise, Lesson, Making};
use crate::text;
use crate::text::Text;
use crate::words::capital;

/// A rule that a plan breaks.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BrokenRule {
    /// Which.
    pub rule: HardRule,
    /// Why, in words.
    pub words: Text,
}

/// A technique on a food, in its session.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CourseBlock {
    /// As it is sent back.
    #[serde(flatten)]
    pub block: DraftBlock,
    /// `Coins of courgette`.
    pub title: String,
    /// Name of the cut.
    pub cut_name: String,
    /// Name of the food.
    pub food_name: String,
    /// Its lane; none where it stands in no strand.
    pub strand: Option<Strand>,
    /// New or review.
    pub kind: BlockKind,
    /// Index of the session in which it was learnt, for a review that comes back to one.
    pub from: Option<usize>,
    /// Minutes that the class needs.
    pub minutes: u16,
    /// Why it stands where it stands.
    pub reasons: Vec<Text>,
    /// Rules that it breaks.
    pub broken: Vec<BrokenRule>,
    /// Not there, or not pinned so, in what is kept.
    pub changed: bool,
    /// The section of the cut.
    pub section: Option<SectionDrawing>,
}

/// A session of the picture.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CourseSession {
    /// Id of its lesson.
    pub lesson_id: i64,
    /// Number, from 1.
    pub number: u16,
    /// Title.
    pub title: String,
    /// Day and time by the school's clock.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-date-time"))]
    pub starts_at: DateTime,
    /// Minutes of the lesson.
    pub minutes: u16,
    /// Minutes of it for practice.
    pub practice: u16,
    /// Minutes that its techniques need.
    pub needed: u32,
    /// Held, or begun: it stays as it is.
    pub held: bool,
    /// Techniques, reviews first.
    pub blocks: Vec<CourseBlock>,
    /// Rules that the session as a whole breaks.
    pub broken: Vec<BrokenRule>,
}

/// A change that would reach a goal, in words.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WayToGoal {
    /// The change.
    pub change: Remedy,
    /// In words.
    pub words: Text,
}

/// A goal with what the plan makes of it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CourseGoal {
    /// Its fields.
    #[serde(flatten)]
    pub goal: GoalFields,
    /// `Even in small dice by session 6`.
    pub title: String,
    /// The lane of its cut.
    pub strand: Option<Strand>,
    /// What the plan expects.
    pub state: GoalState,
    /// The state in words.
    pub words: Text,
    /// What would reach it; none where it is reached, or where nobody asked.
    pub ways: Vec<WayToGoal>,
}

/// A food on which a technique can be taught here.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OfferedFood {
    /// Id of the food.
    pub food: String,
    /// Its name.
    pub name: String,
    /// Minutes that the class needs.
    pub minutes: u16,
}

/// A technique that can be put into a session by hand.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OfferedTechnique {
    /// Id of the cut.
    pub cut: String,
    /// Its name.
    pub name: String,
    /// Its lane.
    pub strand: Strand,
    /// Foods on which it can be taught here, the easiest first; none where something keeps it off this course.
    pub foods: Vec<OfferedFood>,
    /// What keeps it off.
    pub kept_off: Option<Text>,
}

/// The course on one picture.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CoursePlan {
    /// What is kept, as a number that changes with it.
    pub stamp: i64,
    /// Sessions by number.
    pub sessions: Vec<CourseSession>,
    /// Goals.
    pub goals: Vec<CourseGoal>,
    /// What can be put in by hand.
    pub techniques: Vec<OfferedTechnique>,
    /// Broken rules in all.
    pub broken: u32,
    /// Points of the plan: more are better.
    pub points: i64,
    /// Blocks that are not as they are kept.
    pub changed: usize,
    /// The knives are not known yet: planned on one of each type.
    pub on_types: bool,
}

impl CoursePlan {
    /// Its blocks, session by session, as they are kept.
    pub fn into_blocks(self) -> Vec<DraftBlock> {
        self.sessions.into_iter().flat_map(|session| session.blocks).map(|block| block.block).collect()
    }
}

/// What is asked of a course's plan.
#[derive(Clone, Debug, Default, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PlanQuestion {
    /// Blocks as they stand on the screen; what is kept where none are given.
    pub blocks: Option<Vec<DraftBlock>>,
    /// Goals as they stand on the screen; what is kept where none are given.
    pub goals: Option<Vec<GoalFields>>,
    /// Draft it.
    #[serde(default)]
    pub draft: bool,
}

/// The records of a course that its plan is made of.
#[derive(Clone, Copy, Debug)]
pub struct CourseRecord<'a> {
    /// Lessons by number.
    pub lessons: &'a [Lesson],
    /// Exercises of all of them.
    pub exercises: &'a [Exercise],
    /// Goals.
    pub goals: &'a [GoalFields],
    /// Attempts of its students, in the order of time.
    pub attempts: &'a [Attempt],
    /// Now, by the school's clock.
    pub now: DateTime,
}

impl CourseRecord<'_> {
    /// What is kept, as a number that changes with it.
    pub fn stamp(&self) -> i64 {
        let lessons = self.lessons.iter().map(|lesson| lesson.version);
        let exercises = self.exercises.iter().map(|exercise| exercise.version);
        lessons.chain(exercises).fold(self.goals.len() as i64, i64::wrapping_add)
    }

    /// Begun, or with attempts.
    pub fn is_held(&self, lesson: &Lesson) -> bool {
        lesson.fields.starts_at <= self.now || self.attempts.iter().any(|attempt| attempt.lesson_id == lesson.id)
    }

    fn sessions(&self) -> Vec<DraftSession> {
        let of = |lesson: &Lesson| DraftSession {
            number: lesson.number,
            day: lesson.fields.starts_at.date(),
            minutes: practice_minutes(lesson),
            held: self.is_held(lesson),
        };
        self.lessons.iter().map(of).collect()
    }

    /// The blocks that are kept.
    pub fn blocks(&self) -> Vec<DraftBlock> {
        let of = |(session, lesson): (usize, &Lesson)| {
            let own = self.exercises.iter().filter(move |exercise| exercise.lesson_id == lesson.id);
            let block = |exercise: &Exercise| DraftBlock {
                session,
                cut: exercise.fields.cut.clone(),
                food: exercise.fields.food.clone(),
                pinned: exercise.pinned,
                amount: Some(exercise.fields.amount),
                own_minutes: exercise.fields.own_minutes,
            };
            own.map(block).collect::<Vec<_>>()
        };
        self.lessons.iter().enumerate().flat_map(of).collect()
    }
}

/// Minutes of a lesson that are not given to anything else than practice.
pub(super) fn practice_minutes(lesson: &Lesson) -> u16 {
    let other = lesson.fields.segments.iter().filter(|segment| segment.kind != SegmentKind::Practice);
    lesson.fields.minutes.saturating_sub(other.map(|segment| segment.minutes).fold(0, u16::saturating_add))
}

/// Most blocks that are asked about.
const MOST_BLOCKS: usize = 400;

/// Most goals of a course.
const MOST_GOALS: usize = 24;

/// Problems of a question about a course's plan.
pub fn check_plan(at_hand: &AtHand<'_>, record: &CourseRecord<'_>, question: &PlanQuestion) -> Vec<Problem> {
    let sessions = u16::try_from(record.lessons.len()).unwrap_or(u16::MAX);
    let blocks = question.blocks.as_deref().unwrap_or_default();
    let goals = question.goals.as_deref().unwrap_or_default();
    let many = |pointer, name, count: usize, most: usize| {
        (count > most).then(|| Problem::new(pointer, name, count, "are too many", text!["up to ", most]))
    };
    let block = |(index, block): (usize, &DraftBlock)| {
        let pointer = |field: &str| format!("/blocks/{index}/{field}");
        let known = |found: bool, field: &str, name: &str, id: &str| {
            (!found).then(|| Problem::new(pointer(field), name, id, "is not known", "one of the catalogue"))
        };
        let session = Problem::unless_within(&pointer("session"), "Session", block.session as i64, 0, i64::from(sessions) - 1);
        let (food, cut) = (at_hand.catalogue.food(&block.food), at_hand.catalogue.cut(&block.cut));
        [session, known(food.is_some(), "food", "Food", &block.food), known(cut.is_some(), "cut", "Cut", &block.cut)]
    };
    let checked = |(index, goal): (usize, &GoalFields)| goal.check(at_hand.catalogue, sessions, &format!("/goals/{index}"));
    let most = [many("/blocks", "Techniques", blocks.len(), MOST_BLOCKS), many("/goals", "Goals", goals.len(), MOST_GOALS)];
    let most: Vec<Problem> = most.into_iter().flatten().collect();
    if !most.is_empty() {
        return most;
    }
    blocks.iter().enumerate().flat_map(block).flatten().chain(goals.iter().enumerate().flat_map(checked)).collect()
}

/// Works out the picture.
///
/// # Errors
/// Sessions, cuts, foods or goals that are not there.
pub fn course_plan(
    at_hand: &AtHand<'_>,
    record: &CourseRecord<'_>,
    question: &PlanQuestion,
    today: Date,
) -> Result<CoursePlan, Vec<Problem>> {
    let problems = check_plan(at_hand, record, question);
    if !problems.is_empty() {
        return Err(problems);
    }
    let evidence = ClassEvidence::of(at_hand, record.attempts, today);
    let kept = record.blocks();
    let asked = DraftQuestion {
        sessions: record.sessions(),
        blocks: question.blocks.clone().unwrap_or_else(|| kept.clone()),
        goals: question.goals.clone().unwrap_or_else(|| record.goals.to_vec()),
        evidence: &evidence,
    };
    let drafting = Drafting::of(at_hand, &asked);
    let plan = if question.draft { drafting.draft() } else { drafting.stood().clone() };
    let picture = Picture { at_hand, drafting: &drafting, plan: &plan, said: drafting.said(&plan), kept: &kept };
    let sessions: Vec<CourseSession> =
        record.lessons.iter().enumerate().map(|(index, lesson)| picture.session(index, lesson, record.is_held(lesson))).collect();
    let shown = sessions.iter().flat_map(|session| &session.blocks).filter(|block| !block.changed).count();
    let broken = picture.said.iter().filter(|said| matches!(said, Said::Broken { .. })).count();
    let broken = u32::try_from(broken).unwrap_or(u32::MAX);
    let stood = DraftQuestion { blocks: drafting.blocks(&plan), ..asked.clone() };
    let goals = asked.goals.iter().enumerate().map(|(index, goal)| picture.goal(index, goal, &stood, question.draft));
    Ok(CoursePlan {
        stamp: record.stamp(),
        goals: goals.collect(),
        techniques: picture.techniques(),
        broken,
        points: drafting.value(&plan).points(),
        changed: (plan.0.iter().map(Vec::len).sum::<usize>() - shown) + (kept.len() - shown.min(kept.len())),
        on_types: at_hand.knows_no_knives(),
        sessions,
    })
}

/// A plan as it is put into words.
struct Picture<'p, 'a> {
    at_hand: &'p AtHand<'a>,
    drafting: &'p Drafting<'a>,
    plan: &'p Plan,
    said: Vec<Said>,
    kept: &'p [DraftBlock],
}

impl Picture<'_, '_> {
    fn session(&self, index: usize, lesson: &Lesson, held: bool) -> CourseSession {
        let places = self.plan.0.get(index).map(Vec::as_slice).unwrap_or_default();
        let blocks: Vec<CourseBlock> = (0..places.len()).filter_map(|place| self.block(index, place)).collect();
        let mut blocks = blocks;
        // Reviews first; the order of those of a kind stays.
        blocks.sort_by_key(|block| match block.kind {
            BlockKind::Review => 0,
            BlockKind::New => 1,
            BlockKind::Other => 2,
        });
        let choices = places.iter().filter_map(|place| self.drafting.choices().get(place.choice));
        CourseSession {
            lesson_id: lesson.id,
            number: lesson.number,
            title: lesson.fields.title.clone(),
            starts_at: lesson.fields.starts_at,
            minutes: lesson.fields.minutes,
            practice: practice_minutes(lesson),
            needed: choices.map(|choice| u32::from(choice.minutes)).sum(),
            held,
            blocks,
            broken: self.broken(index, None),
        }
    }

    fn broken(&self, index: usize, at: Option<usize>) -> Vec<BrokenRule> {
        let of = |said: &Said| match said {
            Said::Broken { rule, session, place, .. } if *session == index && *place == at => {
                Some(BrokenRule { rule: *rule, words: self.drafting.words_of(self.plan, *rule, index, at) })
            }
            _ => None,
        };
        self.said.iter().filter_map(of).collect()
    }

    fn block(&self, index: usize, place: usize) -> Option<CourseBlock> {
        let at = self.plan.0.get(index)?.get(place)?;
        let choice = self.drafting.choices().get(at.choice)?;
        let catalogue = self.at_hand.catalogue;
        let (food, cut) = (catalogue.food(&choice.food)?, catalogue.cut(&choice.cut)?);
        let (kind, from) = self.drafting.kind_of(self.plan, index, place);
        let block = DraftBlock {
            session: index,
            cut: choice.cut.clone(),
            food: choice.food.clone(),
            pinned: at.pinned,
            amount: Some(choice.amount),
            own_minutes: choice.own_minutes,
        };
        let technique = choice.technique.and_then(|technique| catalogue.draft.techniques.get(technique));
        let same = |kept: &&DraftBlock| {
            kept.session == index && kept.cut == block.cut && kept.food == block.food && kept.pinned == block.pinned
        };
        let section = self.at_hand.target_of(cut, food).and_then(|target| {
            let peeled = Making::default().peeled(food, cut);
            food_section(&peeled, cut, &target, &choice.blocks)
        });
        Some(CourseBlock {
            title: capital(&cut.of(&food.name)),
            cut_name: cut.name.clone(),
            food_name: food.name.clone(),
            strand: technique.map(|technique| technique.strand).or(cut.strand),
            kind,
            from,
            minutes: choice.minutes,
            reasons: self.reasons(index, place, choice, from),
            broken: self.broken(index, Some(place)),
            changed: !self.kept.iter().any(|kept| same(&kept)),
            section,
            block,
        })
    }

    /// Why a block stands where it stands: what the walk weighed, in words.
    fn reasons(&self, index: usize, place: usize, choice: &Choice, from: Option<usize>) -> Vec<Text> {
        let session = |index: usize| self.drafting.session_number(index);
        let mut told: Vec<Weighed> = Vec::new();
        let mut reasons = Vec::new();
        for said in &self.said {
            let Said::Points { what, session: Some(at), place: Some(there), points } = said else { continue };
            if *at != index || *there != place || *points <= 0 || told.contains(what) {
                continue;
            }
            told.push(*what);
            reasons.extend(match what {
                Weighed::New => Some(self.drafting.new_in_words(self.plan, index, choice)),
                Weighed::OnTheWay => Some(Text::from("A goal of this course stands on it.")),
                Weighed::Back => from.map(|from| {
                    let days = self.drafting.days_between(from, index);
                    text![
                        "Comes back ",
                        days,
                        if days == 1 { " day" } else { " days" },
                        " after session ",
                        session(from),
                        ", where it was new."
                    ]
                }),
                Weighed::Practice => Some(Text::from("Not used since: it is due again.")),
                Weighed::Feeds => {
                    Some(text!["Begins with what the other technique on the same ", choice.food_name(self.at_hand), " leaves."])
                }
                _ => None,
            });
        }
        let rounds = choice.rounds;
        let turns = if rounds > 1 { text![", in ", rounds, " rounds"] } else { Text::default() };
        reasons.push(text![choice.minutes, " minutes of practice", turns, "."]);
        if !choice.without_knife.is_empty() {
            reasons.push(text![choice.without_knife.join(", "), ": no knife that fits yet; dry drill meanwhile."]);
        }
        reasons
    }

    fn goal(&self, index: usize, goal: &GoalFields, question: &DraftQuestion<'_>, drafted: bool) -> CourseGoal {
        let catalogue = self.at_hand.catalogue;
        let cut = catalogue.cut(&goal.cut).map_or(goal.cut.as_str(), |cut| cut.name.as_str());
        let state = self.drafting.goal_state(self.plan, index);
        let number = |session: usize| self.drafting.session_number(session);
        let mut words = match state.expected {
            _ if state.needed == 0 => Text::from("Reached already: everybody has it."),
            Some(session) if state.in_time => {
                let sessions = if state.needed == 1 { " session" } else { " sessions" };
                text!["Expected in session ", number(session), ", after ", state.needed, sessions, " of practice."]
            }
            Some(session) => text!["Expected in session ", number(session), ", after session ", goal.by, "."],
            None => text![state.planned, " of the ", state.needed, " sessions of practice that the slowest needs."],
        };
        // Only a draft that falls short says what would not.
        let wanted = drafted && !state.in_time;
        let ways = if wanted { remedies(self.at_hand, question, index) } else { Vec::new() };
        if wanted && ways.is_empty() {
            let [.., longest] = LONGER;
            let none = text![
                " Neither ",
                MOST_SESSIONS,
                " more sessions, ",
                longest,
                " more minutes each, nor a lower notch reaches it."
            ];
            words.push(none);
        }
        let technique = catalogue.draft.technique(&goal.cut);
        CourseGoal {
            title: format!("{} in {cut} by session {}", goal.notch.name(), goal.by),
            strand: technique.map(|technique| technique.strand),
            goal: goal.clone(),
            state,
            words,
            ways: ways.into_iter().map(|change| WayToGoal { change, words: in_words(change) }).collect(),
        }
    }

    fn techniques(&self) -> Vec<OfferedTechnique> {
        let catalogue = self.at_hand.catalogue;
        let of = |(index, technique): (usize, &crate::catalogue::Technique)| {
            let cut = catalogue.cut(&technique.cut)?;
            let own = || self.drafting.choices().iter().filter(move |choice| choice.technique == Some(index));
            let food = |choice: &Choice| {
                let food = catalogue.food(&choice.food)?;
                Some(OfferedFood { food: food.id.clone(), name: food.name.clone(), minutes: choice.minutes })
            };
            let foods: Vec<OfferedFood> = own().filter(|choice| choice.faults.is_empty()).filter_map(food).collect();
            let kept_off = own().find_map(|choice| choice.faults.first()).map(|(_, words)| words.clone());
            Some(OfferedTechnique {
                cut: cut.id.clone(),
                name: cut.name.clone(),
                strand: technique.strand,
                kept_off: kept_off.filter(|_| foods.is_empty()),
                foods,
            })
        };
        catalogue.draft.techniques.iter().enumerate().filter_map(of).collect()
    }
}

fn in_words(change: Remedy) -> Text {
    match change {
        Remedy::MoreSessions { sessions: 1 } => Text::from("One more session before it is due."),
        Remedy::MoreSessions { sessions } => text![sessions, " more sessions before it is due."],
        Remedy::Longer { minutes } => text!["Sessions ", minutes, " minutes longer."],
        Remedy::Later { by } => text!["Due by session ", by, "."],
        Remedy::Lower { notch } => text!["A lower goal: ", notch.name(), "."],
    }
}
