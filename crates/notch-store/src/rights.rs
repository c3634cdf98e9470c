//! Who may read a school's files.

use std::path::{Path, PathBuf};
use std::{fs, io};

/// Makes the data folder where it is missing, for its owner alone: it holds names, allergies and the
/// passphrase's hash. A folder that was there keeps its rights.
pub(crate) fn make_folder(folder: &Path) -> io::Result<()> {
    let mut builder = fs::DirBuilder::new();
    builder.recursive(true);
    #[cfg(unix)]
    std::os::unix::fs::DirBuilderExt::mode(&mut builder, 0o700);
    builder.create(folder)
}

/// Takes the rights of others away from a file; those beside a database take theirs from it.
pub(crate) fn for_the_owner_alone(path: &Path) -> io::Result<()> {
    #[cfg(unix)]
    for file in [path.to_owned(), beside(path, "-wal"), beside(path, "-shm")] {
        match fs::set_permissions(&file, std::os::unix::fs::PermissionsExt::from_mode(0o600)) {
            Err(error) if error.kind() != io::ErrorKind::NotFound => return Err(error),
            _ => {}
        }
    }
    #[cfg(not(unix))]
    let _ = path;
    Ok(())
}

/// A file beside another, by its ending.
pub(crate) fn beside(path: &Path, ending: &str) -> PathBuf {
    let mut name = path.as_os_str().to_owned();
    name.push(ending);
    PathBuf::from(name)
}
