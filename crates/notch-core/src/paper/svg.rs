//! A page as an SVG file that needs nothing else: the fonts that it uses are in it.

use std::fmt::Write;

use base64::Engine;
use base64::engine::general_purpose::STANDARD;

use super::page::{Drawn, PaperFace, PaperInk, PaperPage, PaperRole};
use super::type_setting::FONTS;

const fn family(face: PaperFace) -> &'static str {
    match face {
        PaperFace::Plain => "yn-plain",
        PaperFace::Bold => "yn-bold",
        PaperFace::Figures => "yn-figures",
        PaperFace::Others => "yn-others",
    }
}

fn escaped(text: &str) -> String {
    text.replace('&', "&amp;").replace('<', "&lt;").replace('>', "&gt;").replace('"', "&quot;")
}

fn colour(ink: Option<PaperInk>) -> String {
    ink.map_or_else(|| "none".to_owned(), |ink| format!("#{0:02x}{0:02x}{0:02x}", ink.grey()))
}

/// Writes a page as SVG in millimetres, at true size.
pub fn page_as_svg(page: &PaperPage) -> String {
    let mut out = String::new();
    // Writing into a string cannot fail.
    let _ = write!(
        out,
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{0}mm\" height=\"{1}mm\" viewBox=\"0 0 {0} {1}\"><title>{2}</title><style>",
        page.width,
        page.height,
        escaped(&page.name)
    );
    let marks = || page.blocks.iter().flat_map(|block| &block.marks);
    let used = |of: PaperFace| marks().any(|mark| matches!(mark, Drawn::Words { face, .. } if *face == of));
    for (face, bytes) in FONTS.into_iter().filter(|(face, _)| used(*face)) {
        let data = STANDARD.encode(bytes);
        let _ = write!(out, "@font-face{{font-family:{};src:url(data:font/ttf;base64,{data})}}", family(face));
    }
    let _ = write!(out, "</style><rect width=\"{}\" height=\"{}\" fill=\"#ffffff\"/>", page.width, page.height);
    for block in &page.blocks {
        let _ = match &block.role {
            PaperRole::Figure { shows } => write!(out, "<g role=\"img\"><title>{}</title>", escaped(shows)),
            PaperRole::Title | PaperRole::Heading | PaperRole::Text | PaperRole::Cell { .. } => write!(out, "<g>"),
            PaperRole::Decoration => write!(out, "<g aria-hidden=\"true\">"),
        };
        for mark in &block.marks {
            draw(&mut out, mark);
        }
        out.push_str("</g>");
    }
    out.push_str("</svg>\n");
    out
}

fn draw(out: &mut String, mark: &Drawn) {
    let _ = match mark {
        Drawn::Words { x, y, size, face, ink, text } => write!(
            out,
            "<text x=\"{x:.3}\" y=\"{y:.3}\" font-size=\"{size}\" font-family=\"{}\" fill=\"{}\" xml:space=\"preserve\">{}</text>",
            family(*face),
            colour(Some(*ink)),
            escaped(text)
        ),
        Drawn::Box { x, y, width, height, fill, line } => {
            let inset = line.unwrap_or(0.0) / 2.0;
            write!(
                out,
                "<rect x=\"{:.3}\" y=\"{:.3}\" width=\"{:.3}\" height=\"{:.3}\" fill=\"{}\" stroke=\"{}\" stroke-width=\"{}\"/>",
                x + inset,
                y + inset,
                (width - 2.0 * inset).max(0.0),
                (height - 2.0 * inset).max(0.0),
                colour(*fill),
                colour(line.map(|_| PaperInk::Black)),
                line.unwrap_or(0.0)
            )
        }
        Drawn::Line { x1, y1, x2, y2, width } => write!(
            out,
            "<line x1=\"{x1:.3}\" y1=\"{y1:.3}\" x2=\"{x2:.3}\" y2=\"{y2:.3}\" stroke=\"#000000\" stroke-width=\"{width}\"/>"
        ),
        Drawn::Outline { d, x, y, scale, fill, line } => write!(
            out,
            "<path d=\"{}\" transform=\"translate({x:.3} {y:.3}) scale({scale:.5})\" fill=\"{}\" stroke=\"{}\" stroke-width=\"{:.4}\"/>",
            escaped(d),
            colour(*fill),
            colour(line.map(|_| PaperInk::Black)),
            line.unwrap_or(0.0) / scale
        ),
    };
}
