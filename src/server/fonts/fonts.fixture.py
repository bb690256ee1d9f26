"""Makes fonts, and reads them, with fontTools: what our own reading is held against."""

import json
import sys

from fontTools.fontBuilder import FontBuilder
from fontTools.pens.t2CharStringPen import T2CharStringPen
from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import TTCollection, TTFont

LETTERS = "abcdefghijklmnopqrstuvwxyz"


def square(pen):
    pen.moveTo((50, 0))
    pen.lineTo((50, 500))
    pen.lineTo((450, 500))
    pen.lineTo((450, 0))
    pen.closePath()


def drawn(is_cff):
    pen = T2CharStringPen(500, None) if is_cff else TTGlyphPen(None)
    square(pen)
    return pen.getCharString() if is_cff else pen.glyph()


def make(path, family="Plain Square", fs_type=0, is_cff=False, letters=LETTERS, weight=400):
    glyphs = [".notdef", "space", *letters, "alpha"]
    builder = FontBuilder(1000, isTTF=not is_cff)
    builder.setupGlyphOrder(glyphs)
    points = {ord(letter): letter for letter in letters}
    builder.setupCharacterMap({32: "space", 0x3B1: "alpha", **points})
    outlines = {name: drawn(is_cff) for name in glyphs}
    if is_cff:
        builder.setupCFF("PlainSquare", {}, outlines, {})
    else:
        builder.setupGlyf(outlines)
    builder.setupHorizontalMetrics({name: (500, 50) for name in glyphs})
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    names = {"familyName": family, "styleName": "Regular", "licenseDescription": "For squares only"}
    builder.setupNameTable(names)
    builder.setupOS2(fsType=fs_type, usWeightClass=weight)
    builder.setupPost()
    builder.save(path)


def make_doubling(path, levels):
    """A font whose letters are made of two glyphs each, which are made of two, and so on."""
    steps = [f"step{n}" for n in range(levels)]
    builder = FontBuilder(1000, isTTF=True)
    builder.setupGlyphOrder([".notdef", "space", *LETTERS, *steps])
    builder.setupCharacterMap({32: "space", **{ord(letter): letter for letter in LETTERS}})

    def twice(name):
        pen = TTGlyphPen({name: None})
        pen.addComponent(name, (1, 0, 0, 1, 0, 0))
        pen.addComponent(name, (1, 0, 0, 1, 9, 0))
        return pen.glyph()

    outlines = {".notdef": drawn(False), "space": drawn(False), steps[0]: drawn(False)}
    outlines.update({step: twice(steps[n]) for n, step in enumerate(steps[1:])})
    outlines.update({letter: twice(steps[-1]) for letter in LETTERS})
    # Counting its own points would take for ever as well.
    builder.font.recalcBBoxes = False
    builder.setupGlyf(outlines, calcGlyphBounds=False)
    for glyph in outlines.values():
        glyph.xMin = glyph.yMin = glyph.xMax = glyph.yMax = 0
    builder.setupHorizontalMetrics({name: (500, 0) for name in outlines})
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    builder.setupNameTable({"familyName": "Twice", "styleName": "Regular"})
    builder.setupOS2(fsType=0)
    builder.setupPost()
    builder.font.recalcBBoxes = False
    builder.save(path)


def read(path):
    font = TTFont(path)
    name, os2 = font["name"], font["OS/2"]
    axes = {axis.axisTag: axis for axis in font["fvar"].axes} if "fvar" in font else {}
    weights = axes.get("wght")
    letters = [font["hmtx"][font.getBestCmap()[ord(letter)]][0] for letter in LETTERS]
    return {
        "family": (name.getDebugName(16) or name.getDebugName(1)),
        "fsType": os2.fsType,
        "weights": [round(weights.minValue), round(weights.maxValue)]
        if weights
        else [os2.usWeightClass] * 2,
        "license": name.getDebugName(13) or name.getDebugName(0),
        "points": len(font.getBestCmap()),
        "width": sum(letters) / len(letters) / font["head"].unitsPerEm,
    }


def main():
    task, *rest = sys.argv[1:]
    if task == "read":
        print(json.dumps([read(path) for path in rest]))
    elif task == "make":
        path, options = rest
        make(path, **json.loads(options))
    elif task == "double":
        path, levels = rest
        make_doubling(path, int(levels))
    elif task == "collect":
        path, *fonts = rest
        collection = TTCollection()
        collection.fonts = [TTFont(font) for font in fonts]
        collection.save(path)


main()
