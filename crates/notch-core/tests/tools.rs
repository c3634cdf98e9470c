//! Tools beside the knives: laid out where they are used, and nowhere else.

use crate::common::CATALOGUE;

fn laid_out(food: &str, cut: &str) -> Vec<String> {
    let tools = CATALOGUE.tools_for(CATALOGUE.food(food).unwrap(), CATALOGUE.cut(cut).unwrap());
    tools.into_iter().map(|tool| tool.id).collect()
}

#[test]
fn each_job_has_its_tools() {
    for (food, cut, tools) in [
        ("carrot", "small_dice", &["damp_cloth", "bench_scraper"][..]),
        ("carrot", "coins", &["damp_cloth"]),
        ("parsley", "mince", &["damp_cloth", "bench_scraper"]),
        ("apple", "core", &["damp_cloth", "apple_corer"]),
        ("butternut", "halve", &["damp_cloth", "spoon"]),
        ("avocado", "stone", &["damp_cloth", "spoon"]),
        ("ginger", "peel", &["damp_cloth", "spoon"]),
        ("roast", "slice", &["damp_cloth", "carving_fork"]),
        ("whole_chicken", "joint", &["damp_cloth", "cut_glove", "mesh_glove"]),
        ("whole_fish", "fillet", &["damp_cloth", "cut_glove", "food_tweezers"]),
        ("bread", "slice", &["damp_cloth"]),
    ] {
        assert_eq!(laid_out(food, cut), tools, "{cut} of {food}");
    }
}

#[test]
fn every_tool_is_used_somewhere_and_a_taught_cut_names_it() {
    for tool in &CATALOGUE.tools {
        let used = CATALOGUE.foods.iter().flat_map(|food| food.taught.iter().map(move |cut| (food, cut)));
        let mut used = used.filter_map(|(food, cut)| Some((food, CATALOGUE.cut(cut)?)));
        assert!(used.any(|(food, cut)| CATALOGUE.tools_for(food, cut).iter().any(|shown| shown.id == tool.id)), "{}", tool.id);
        assert!(tool.does.ends_with('.') && !tool.name.is_empty());
    }
    // A fork holds what is carved, not what is raw; a mesh glove belongs to boning alone.
    assert!(!laid_out("raw_poultry", "slice").contains(&"carving_fork".to_owned()));
    assert!(!laid_out("red_meat", "portion").contains(&"mesh_glove".to_owned()));
}

#[test]
fn trimming_is_told_as_the_food_wants_it() {
    let told = |food: &str| {
        let (leaves, how) = CATALOGUE.cut("trim").unwrap().told_of(CATALOGUE.food(food).unwrap());
        format!("{leaves}: {how}")
    };
    assert!(told("whole_fish").contains("Scaled and gutted, the fins snipped off"));
    assert!(told("raw_fish").contains("pin bones drawn with tweezers") && told("smoked_salmon").contains("pin bones"));
    assert!(told("red_meat").contains("silverskin") && told("poultry_joint").contains("silverskin"));
    assert!(told("carrot").starts_with("flat ends"));
}
