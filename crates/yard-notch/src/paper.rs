//! The pages of a lesson as files.

use std::fs;
use std::path::{Path, PathBuf};

use notch_core::catalogue::Catalogue;
use notch_core::own::in_force;
use notch_core::paper::{PaperKind, PaperPage, PaperSize, page_as_svg};
use notch_server::{LookedAt, pages_of};
use notch_store::Store;

use crate::Paper;
use crate::commands::{Done, write_whole};

/// Writes what is asked for.
pub(crate) fn write(asked: &Paper) -> Done {
    let kind = PaperKind::ALL.into_iter().find(|kind| kind.word() == asked.page);
    let kind = word("--page", &asked.page, &PaperKind::ALL.map(PaperKind::word).join(", "), kind)?;
    let size = [PaperSize::A4, PaperSize::Letter].into_iter().find(|size| size.word() == asked.paper);
    let size = word("--paper", &asked.paper, "a4, letter", size)?;
    let shipped = Catalogue::shipped()?;
    let folder;
    let store = if asked.demo {
        folder = tempfile::tempdir()?;
        let store = Store::open(folder.path())?;
        notch_demo::fill(&store, &shipped)?;
        store
    } else {
        Store::open_copy(&asked.data)?
    };
    let (title, pages) = store
        .read(|reader| {
            let catalogue = in_force(&shipped, &reader.own_values()?).catalogue;
            Ok(pages_of(reader, &catalogue, (asked.lesson, LookedAt::ItsDay), (kind, size)))
        })?
        .map_err(|error| error.document().detail)?;
    if let Some(file) = &asked.pdf {
        keep(file, b"%PDF", &notch_paper::pdf(&title, &pages)?)?;
    }
    if let Some(file) = &asked.svg {
        for (index, page) in pages.iter().enumerate() {
            svg(&numbered(file, index), page)?;
        }
    }
    Ok(())
}

/// One of the words that are allowed.
fn word<T>(option: &str, given: &str, allowed: &str, known: Option<T>) -> Result<T, String> {
    known.ok_or_else(|| format!("{option} is {given:?}; allowed: {allowed}"))
}

fn svg(file: &Path, page: &PaperPage) -> Done {
    keep(file, b"<svg", page_as_svg(page).as_bytes())
}

/// The name of a page's file: of the second `NAME-2.svg`.
fn numbered(file: &Path, index: usize) -> PathBuf {
    if index == 0 {
        return file.to_owned();
    }
    let stem = file.file_stem().unwrap_or_default().to_string_lossy();
    let ending = file.extension().map_or_else(String::new, |ending| format!(".{}", ending.to_string_lossy()));
    file.with_file_name(format!("{stem}-{}{ending}", index + 1))
}

/// Writes a file; one that is there is only replaced where it is of the same kind.
fn keep(file: &Path, begins: &[u8], content: &[u8]) -> Done {
    if file.exists() && !fs::read(file)?.starts_with(begins) {
        return Err(format!("{} is there and is something else: name another file", file.display()).into());
    }
    write_whole(file, content).map_err(|error| format!("{}: {error}", file.display()))?;
    println!("Written: {}", file.display());
    Ok(())
}
