//! The program: `serve`, and the commands around a school's data.

mod backup;
mod commands;
mod paper;
mod school;

use std::net::SocketAddr;
use std::path::PathBuf;
use std::process::ExitCode;

use clap::{Parser, Subcommand};

/// Plan knife-skills lessons, run the class, measure the pieces, see what each student does next.
#[derive(Debug, Parser)]
#[command(name = "yard-notch", version)]
struct Arguments {
    #[command(subcommand)]
    command: Command,
}

#[derive(Debug, Subcommand)]
enum Command {
    /// Serve the program to a browser.
    Serve(Serve),
    /// Write the whole school as JSON.
    Export {
        /// Folder of the data.
        #[arg(long, value_name = "DIR", default_value = "data")]
        data: PathBuf,
        /// File to write; standard output if left out.
        file: Option<PathBuf>,
    },
    /// Take a whole school from JSON into an empty folder.
    Import {
        /// Folder of the data.
        #[arg(long, value_name = "DIR", default_value = "data")]
        data: PathBuf,
        /// File to read.
        file: PathBuf,
    },
    /// Look for damage in the data.
    Check {
        /// Folder of the data.
        #[arg(long, value_name = "DIR", default_value = "data")]
        data: PathBuf,
    },
    /// Make a checked copy of a school as one file, while it is served or not.
    Backup {
        /// Folder of the data.
        #[arg(long, value_name = "DIR", default_value = "data")]
        data: PathBuf,
        /// File to write; one that is there is not replaced.
        file: PathBuf,
    },
    /// Put a copy in the place of a school: looks it over and says what changes before it does.
    Restore {
        /// Folder of the data.
        #[arg(long, value_name = "DIR", default_value = "data")]
        data: PathBuf,
        /// The copy.
        file: PathBuf,
        /// Do it without asking.
        #[arg(long)]
        yes: bool,
    },
    /// Go on with a school's file whose latest changes are missing, as `check` or `serve` tells.
    Accept {
        /// Folder of the data.
        #[arg(long, value_name = "DIR", default_value = "data")]
        data: PathBuf,
    },
    /// Answer everyday jobs as the screens do, in a made-up school; prints JSON.
    Advise {
        /// File of jobs; `-` for standard input.
        file: PathBuf,
    },
    /// Plan who works in which round with which knife; reads a class, prints a rotation or why there is none.
    Rotate {
        /// File of the class (`rotation-instance/1`); `-` for standard input.
        file: PathBuf,
    },
    /// Write the pages of a lesson as PDF or SVG, at true size.
    Paper(Paper),
    /// Give somebody who works here a passphrase, read from standard input; also where one was forgotten.
    Passphrase {
        /// Whose; the only instructor's if left out. A name that is not known yet is added as an instructor.
        #[arg(long, value_name = "NAME")]
        name: Option<String>,
        /// Folder of the data.
        #[arg(long, value_name = "DIR", default_value = "data")]
        data: PathBuf,
    },
    /// The schools of a host, as `serve --schools` serves them.
    School {
        /// Folder of the schools.
        #[arg(long, value_name = "DIR", default_value = "schools", global = true)]
        schools: PathBuf,
        #[command(subcommand)]
        command: school::Command,
    },
    /// Print the OpenAPI document.
    #[command(hide = true)]
    Openapi,
    /// Print the JSON Schema of a course file.
    CourseSchema,
}

/// What is served, and how it is reached.
#[derive(Debug, clap::Args)]
struct Serve {
    /// Show the made-up school, in a folder of its own.
    #[arg(long)]
    demo: bool,
    /// Folder for the data [default: data, or demo-data with --demo].
    #[arg(long, value_name = "DIR")]
    data: Option<PathBuf>,
    /// Serve every school of this folder, each at /s/NAME/ or its own host name; see `yard-notch school`.
    #[arg(long, value_name = "DIR", conflicts_with_all = ["demo", "data"])]
    schools: Option<PathBuf>,
    /// With --schools: minutes without a request after which a school is closed, until somebody asks again.
    #[arg(long, value_name = "MINUTES", default_value = "10", requires = "schools")]
    close_after: u32,
    /// Requests come by a proxy alone that speaks TLS before this program and tells in X-Forwarded-For who sent them.
    #[arg(long, conflicts_with_all = ["demo", "tls", "tls_cert"])]
    proxied: bool,
    /// Address to listen on; other than this machine's own only once somebody has a passphrase.
    #[arg(long, value_name = "ADDR", default_value = "127.0.0.1:7411")]
    listen: SocketAddr,
    /// Speak HTTPS with a certificate of the school's own, made on the first start; /trust tells how devices trust it.
    #[arg(long, conflicts_with_all = ["tls_cert", "tls_key"])]
    tls: bool,
    /// Speak HTTPS with this certificate, PEM, its chain after it.
    #[arg(long, value_name = "FILE", requires = "tls_key")]
    tls_cert: Option<PathBuf>,
    /// The key of the certificate, PEM.
    #[arg(long, value_name = "FILE", requires = "tls_cert")]
    tls_key: Option<PathBuf>,
    /// Name under which devices reach the program, beside this machine's own; may be given several times.
    #[arg(long, value_name = "NAME")]
    tls_name: Vec<String>,
    /// Answer /healthz, /readyz and /metrics (Prometheus) on this address too; it asks nobody to sign in, so it is one
    /// that only the host reaches.
    #[arg(long, value_name = "ADDR")]
    watch: Option<SocketAddr>,
    /// How the log is written: text or json.
    #[arg(long, value_name = "FORM", default_value = "text")]
    log: LogForm,
}

/// How the log is written.
#[derive(Clone, Copy, Debug, clap::ValueEnum)]
enum LogForm {
    /// Lines for a person.
    Text,
    /// One JSON object a line.
    Json,
}

/// What is printed of which lesson, and where to.
#[derive(Debug, clap::Args)]
struct Paper {
    /// The lesson, by its number in the address of its page.
    lesson: i64,
    /// What is printed: lesson, stations, rotation, order, count, practice or whole.
    #[arg(long, value_name = "PAGE", default_value = "lesson")]
    page: String,
    /// Size of the paper: a4 or letter.
    #[arg(long, value_name = "SIZE", default_value = "a4")]
    paper: String,
    /// PDF file to write.
    #[arg(long, value_name = "FILE", required_unless_present = "svg")]
    pdf: Option<PathBuf>,
    /// SVG file to write; a second page is written beside it as FILE-2.svg, and so on.
    #[arg(long, value_name = "FILE")]
    svg: Option<PathBuf>,
    /// Folder of the data.
    #[arg(long, value_name = "DIR", default_value = "data")]
    data: PathBuf,
    /// Of the made-up school, which needs no folder.
    #[arg(long)]
    demo: bool,
}

fn main() -> ExitCode {
    let done = match Arguments::parse().command {
        Command::Serve(asked) => commands::serve(&asked),
        Command::Export { data, file } => commands::export(&data, file.as_deref()),
        Command::Import { data, file } => commands::import(&data, &file),
        Command::Check { data } => commands::check(&data),
        Command::Backup { data, file } => backup::backup(&data, &file),
        Command::Restore { data, file, yes } => backup::restore(&data, &file, yes),
        Command::Accept { data } => commands::accept(&data),
        Command::Advise { file } => commands::advise(&file),
        Command::Rotate { file } => commands::rotate(&file),
        Command::Paper(asked) => paper::write(&asked),
        Command::Passphrase { name, data } => commands::passphrase(&data, name.as_deref()),
        Command::School { schools, command } => school::run(&schools, command),
        Command::Openapi => commands::print_openapi(),
        Command::CourseSchema => commands::print_course_schema(),
    };
    match done {
        Ok(()) => ExitCode::SUCCESS,
        Err(error) => {
            eprintln!("yard-notch: {error}");
            ExitCode::FAILURE
        }
    }
}
