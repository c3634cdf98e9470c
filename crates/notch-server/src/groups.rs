//! Every route, by what it does with the records and who may ask it. All but the open ones need signing in, where
//! somebody signs in.

use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::routes as r;

/// Routes that read and change nothing, questions with a body too: their answers are kept until
/// something changes.
pub(crate) fn reading() -> OpenApiRouter {
    OpenApiRouter::new()
        .routes(routes!(r::catalogue::catalogue))
        .routes(routes!(r::courses::list))
        .routes(routes!(r::courses::show))
        .routes(routes!(r::calendar::file))
        .routes(routes!(r::calendar::address))
        .routes(routes!(r::start::doors))
        .routes(routes!(r::start::read))
        .routes(routes!(r::course_plan::show))
        .routes(routes!(r::course_file::write))
        .routes(routes!(r::course_plan::attempt))
        .routes(routes!(r::roster::people))
        .routes(routes!(r::roster::table))
        .routes(routes!(r::roster::read))
        .routes(routes!(r::rack::list))
        .routes(routes!(r::rack::read_list))
        .routes(routes!(r::rack::table))
        .routes(routes!(r::rack::read))
        .routes(routes!(r::care::show))
        .routes(routes!(r::inspection::look))
        .routes(routes!(r::count::sheet))
        .routes(routes!(r::count::count))
        .routes(routes!(r::playbook::show))
        .routes(routes!(r::playbook::prepare))
        .routes(routes!(r::playbook::try_doctrines))
        .routes(routes!(r::playbook::kit_choices, r::playbook::kit))
        .routes(routes!(r::bench::cut))
        .routes(routes!(r::bench::onion))
        .routes(routes!(r::bench::choose))
        .routes(routes!(r::bench::beside))
        .routes(routes!(r::bench::onions))
        .routes(routes!(r::own::list))
        .routes(routes!(r::plan::advice))
        .routes(routes!(r::plan::show))
        .routes(routes!(r::plan::time_rule))
        .routes(routes!(r::rotation::show))
        .routes(routes!(r::produce::show))
        .routes(routes!(r::ready::show))
        .routes(routes!(r::paper::show))
        .routes(routes!(r::paper::pdf))
        .routes(routes!(r::paper::svg))
        .routes(routes!(r::produce::look))
        .routes(routes!(r::produce::order))
        .routes(routes!(r::produce::table))
        .routes(routes!(r::rotation::look))
        .routes(routes!(r::rotation::table))
        .routes(routes!(r::class::show))
        .routes(routes!(r::class::judge_pieces))
        .routes(routes!(r::class::draw))
        .routes(routes!(r::class::samples_beside))
        .routes(routes!(r::room::drawings))
        .routes(routes!(r::room::wall))
        .routes(routes!(r::room::closing))
        .routes(routes!(r::ask::next))
        .routes(routes!(r::sharp_dull::show))
        .routes(routes!(r::sharp_dull::look))
        .routes(routes!(r::yard::show))
        .routes(routes!(r::yard::student))
}

/// Routes that change something: an instructor may. They take the id and the moment that a device gives to a write.
pub(crate) fn writing() -> OpenApiRouter {
    OpenApiRouter::new()
        .routes(routes!(r::courses::add))
        .routes(routes!(r::courses::change))
        .routes(routes!(r::courses::add_student))
        .routes(routes!(r::course_plan::add_sessions))
        .routes(routes!(r::course_plan::keep))
        .routes(routes!(r::start::start))
        .routes(routes!(r::calendar::share))
        .routes(routes!(r::roster::take_along))
        .routes(routes!(r::roster::take))
        .routes(routes!(r::students::change))
        .routes(routes!(r::students::archive))
        .routes(routes!(r::rack::add))
        .routes(routes!(r::rack::change))
        .routes(routes!(r::rack::archive))
        .routes(routes!(r::rack::add_many))
        .routes(routes!(r::rack::take))
        .routes(routes!(r::rack::take_list))
        .routes(routes!(r::inspection::bought))
        .routes(routes!(r::playbook::choose_doctrines))
        .routes(routes!(r::own::keep))
        .routes(routes!(r::own::go_back))
        .routes(routes!(r::plan::add_lesson))
        .routes(routes!(r::plan::change_lesson))
        .routes(routes!(r::plan::keep_time_rule))
        .routes(routes!(r::plan::add_exercise))
        .routes(routes!(r::plan::change_exercise))
        .routes(routes!(r::plan::archive_exercise))
        .routes(routes!(r::rotation::announce))
        .routes(routes!(r::run::step))
        .routes(routes!(r::run::undo))
        .routes(routes!(r::produce::keep))
        .routes(routes!(r::sharp_dull::keep))
        .routes(routes!(r::sharp_dull::take_back))
        .routes(routes!(r::copies::say_keep))
        .routes(routes!(r::staff::add))
        .routes(routes!(r::staff::change))
        .routes(routes!(r::staff::archive))
}

/// The same for what is written down while a class goes on: an assistant may too.
pub(crate) fn assisting() -> OpenApiRouter {
    OpenApiRouter::new()
        .routes(routes!(r::made_up::open, r::made_up::leave))
        .routes(routes!(r::care::add))
        .routes(routes!(r::count::tick))
        .routes(routes!(r::count::count_knives))
        .routes(routes!(r::count::close))
        .routes(routes!(r::touches::start))
        .routes(routes!(r::touches::stop))
        .routes(routes!(r::touches::mark))
        .routes(routes!(r::touches::undo))
        .routes(routes!(r::touches::correct))
        .routes(routes!(r::ask::keep))
        .routes(routes!(r::room::keep))
        .routes(routes!(r::class::add_sample))
        .routes(routes!(r::class::add_incident))
        .routes(routes!(r::class::take_sample_back))
        .routes(routes!(r::class::take_incident_back))
}

/// Every group of changes that a device may send twice.
pub(crate) fn all_writing() -> [OpenApiRouter; 3] {
    [writing(), writing_files(), assisting()]
}

/// Routes whose answers hang on who asks, or change though no record does; they are not kept. Everybody who works
/// here may ask them.
pub(crate) fn of_who_asks() -> OpenApiRouter {
    OpenApiRouter::new()
        .routes(routes!(r::copies::show))
        .routes(routes!(r::run::show))
        .routes(routes!(r::staff::show))
        .routes(routes!(r::staff::begin))
        .routes(routes!(r::staff::end_session))
        .routes(routes!(r::staff::change_passphrase))
        .routes(routes!(r::staff::choose_name))
}

/// Routes whose answers go on as long as the page is open.
pub(crate) fn going_on() -> OpenApiRouter {
    OpenApiRouter::new().routes(routes!(r::live::changes))
}

/// The same for instructors alone.
pub(crate) fn of_instructors() -> OpenApiRouter {
    OpenApiRouter::new().routes(routes!(r::copies::make)).routes(routes!(r::staff::invite)).routes(routes!(r::staff::changes))
}

/// Routes that look into a large file and change nothing.
pub(crate) fn reading_files() -> OpenApiRouter {
    OpenApiRouter::new().routes(routes!(r::course_file::read))
}

/// Routes that take a large file; an instructor may.
pub(crate) fn writing_files() -> OpenApiRouter {
    OpenApiRouter::new().routes(routes!(r::course_file::take))
}

/// Routes that anybody may ask who can reach the server.
pub(crate) fn open() -> OpenApiRouter {
    OpenApiRouter::new()
        .routes(routes!(r::about::about))
        .routes(routes!(r::calendar::subscribed))
        .routes(routes!(r::sign_in::sign_in, r::sign_in::sign_out))
        .routes(routes!(r::sign_in::invited, r::sign_in::join))
}
