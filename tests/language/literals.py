#!/usr/bin/env python3
"""Every text for people in `words`, `drawn` and `app` is in the catalogue: usage: literals.py SOURCE upstairs.pot

A literal is one when it has two words, or one that begins with a capital letter. What is none of the kind stands in
not_for_people.txt, a literal a line.
"""
import ast
import re
import sys
from pathlib import Path

LITERAL = r'(?:u8)?"(?:[^"\\\n]|\\.)*"'
TOKENS = re.compile(r'//[^\n]*|/\*.*?\*/|R"\((?P<raw>.*?)\)"|(?P<text>' + LITERAL + r'(?:\s*' + LITERAL + r')*)'
                    r"|'(?:[^'\\\n]|\\.)+'|^\s*#include[^\n]*", re.S | re.M)
MARKED = re.compile(r"(\btr|N_|said|spoken|UP_SPOKEN|N2_)\(\s*$|N2_\(\s*" + LITERAL + r"(\s*" + LITERAL + r")*,\s*$")


def said(group):
    return "".join(ast.literal_eval(part.removeprefix("u8")) for part in re.findall(LITERAL, group))


def literals(code):
    for match in TOKENS.finditer(code):
        if match["text"]:
            marked = MARKED.search(code[: match.start()])
            yield code.count("\n", 0, match.start()) + 1, said(match["text"]), bool(marked)


def for_people(text):
    words = re.sub(r"<[^>]*>|%L?\d|\{\d\}", " ", text)
    if re.search(r"[#;{}=]|://|::|^[\w-]+: |^Q[A-Z]|\.\w+$|^\w+[./]\w+", words):
        return False  # style sheets, names of classes, keys, files
    return bool(re.search(r"[^\W\d_]{2,}\s+[^\W\d_]{2,}", words) or re.fullmatch(r"\W*[A-Z][a-z]+…?\W*", words))


def catalogue(pot):
    out, field = set(), None
    text = ""
    for line in [*pot.read_text().splitlines(), ""]:
        if match := re.match(r'(msgid|msgid_plural) (".*")$', line):
            out.add(text)
            field, text = match[1], ast.literal_eval(match[2])
        elif line.startswith("msgstr"):
            field = None
        elif field and line.startswith('"'):
            text += ast.literal_eval(line)
    return out | {text}


def main():
    source, pot = Path(sys.argv[1]), Path(sys.argv[2])
    spoken = catalogue(pot)
    kept = set((Path(__file__).parent / "not_for_people.txt").read_text().splitlines())
    found = 0
    for room in ("words", "drawn", "output", "app"):
        for path in sorted((source / room).rglob("*.[ch]pp")):
            for line, text, marked in literals(path.read_text()):
                if for_people(text) and not (marked and text in spoken) and text not in kept:
                    print(f"{path.relative_to(source)}:{line}: not given to translators: “{text}”")
                    found += 1
    if not found and len(spoken) < 1000:
        sys.exit("the catalogue is not the program's")
    sys.exit(1 if found else 0)


main()
