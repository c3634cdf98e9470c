//! One mark on a page of a PDF.

use krilla::color::luma;
use krilla::geom::{Path, PathBuilder, Point};
use krilla::paint::{Fill, Stroke};
use krilla::surface::Surface;
use krilla::text::{Font, TextDirection};
use kurbo::{Affine, BezPath, PathEl};
use notch_core::paper::{Drawn, PaperFace, PaperInk};

use crate::{POINTS, to_points};

/// The fonts by face.
pub(crate) type Fonts = Vec<(PaperFace, Font)>;

fn fill(ink: PaperInk) -> Fill {
    Fill { paint: luma::Color::new(ink.grey()).into(), ..Fill::default() }
}

fn stroke(width: f64) -> Stroke {
    Stroke { paint: luma::Color::new(PaperInk::Black.grey()).into(), width: to_points(width), ..Stroke::default() }
}

/// Draws a mark.
pub(crate) fn draw(surface: &mut Surface<'_>, fonts: &Fonts, mark: &Drawn) {
    match mark {
        Drawn::Words { x, y, size, face, ink, text } => {
            let Some((_, font)) = fonts.iter().find(|(of, _)| of == face) else { return };
            surface.set_fill(Some(fill(*ink)));
            surface.set_stroke(None);
            let at = Point::from_xy(to_points(*x), to_points(*y));
            surface.draw_text(at, font.clone(), to_points(*size), text, false, TextDirection::LeftToRight);
        }
        Drawn::Box { x, y, width, height, fill: of, line } => {
            // The line lies inside the rectangle, so that its outer side is the true size.
            let inset = line.unwrap_or(0.0) / 2.0;
            let (left, top) = (x + inset, y + inset);
            let (right, bottom) = ((x + width - inset).max(left), (y + height - inset).max(top));
            let corners = [(left, top), (right, top), (right, bottom), (left, bottom)];
            paint(surface, closed(&corners), *of, *line);
        }
        Drawn::Line { x1, y1, x2, y2, width } => {
            let mut builder = PathBuilder::new();
            builder.move_to(to_points(*x1), to_points(*y1));
            builder.line_to(to_points(*x2), to_points(*y2));
            paint(surface, builder.finish(), None, Some(*width));
        }
        Drawn::Outline { d, x, y, scale, fill: of, line } => {
            let Ok(path) = BezPath::from_svg(d) else { return };
            let placed = Affine::scale(POINTS) * Affine::translate((*x, *y)) * Affine::scale(*scale) * path;
            paint(surface, outline(&placed), *of, *line);
        }
    }
}

fn paint(surface: &mut Surface<'_>, path: Option<Path>, of: Option<PaperInk>, line: Option<f64>) {
    let Some(path) = path.filter(|_| of.is_some() || line.is_some()) else { return };
    surface.set_fill(of.map(fill));
    surface.set_stroke(line.map(stroke));
    surface.draw_path(&path);
}

fn closed(corners: &[(f64, f64)]) -> Option<Path> {
    let mut builder = PathBuilder::new();
    for (index, (x, y)) in corners.iter().enumerate() {
        let (x, y) = (to_points(*x), to_points(*y));
        if index == 0 {
            builder.move_to(x, y);
        } else {
            builder.line_to(x, y);
        }
    }
    builder.close();
    builder.finish()
}

fn outline(path: &BezPath) -> Option<Path> {
    let mut builder = PathBuilder::new();
    let of = |point: kurbo::Point| (point.x as f32, point.y as f32);
    for element in path.elements() {
        match *element {
            PathEl::MoveTo(to) => {
                let (x, y) = of(to);
                builder.move_to(x, y);
            }
            PathEl::LineTo(to) => {
                let (x, y) = of(to);
                builder.line_to(x, y);
            }
            PathEl::QuadTo(by, to) => {
                let ((x1, y1), (x, y)) = (of(by), of(to));
                builder.quad_to(x1, y1, x, y);
            }
            PathEl::CurveTo(by, then, to) => {
                let ((x1, y1), (x2, y2), (x, y)) = (of(by), of(then), of(to));
                builder.cubic_to(x1, y1, x2, y2, x, y);
            }
            PathEl::ClosePath => builder.close(),
        }
    }
    builder.finish()
}
