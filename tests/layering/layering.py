#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""The locks of the house. usage: layering.py SOURCE BUILD [--headers]

* every #include is allowed by cmake/layering.txt
* no file over 600 lines; every file of code begins with its licence
* nothing taken out of the quilt before a question is used after it: whoever has asked finds it anew, by its id
* no library of core, and not the command line, links Qt
* with --headers only this: every header compiles alone, without those that are compiled once. It takes minutes; .ci/run
  does it
"""
import concurrent.futures
import json
import os
import re
import subprocess
import sys

SOURCE, BUILD = sys.argv[1], sys.argv[2]
ROOMS = ("core", "words", "intake", "output", "demo", "cli", "app", "benchmarks")
POSIX = {"fcntl.h", "unistd.h", "poll.h", "spawn.h", "sys/mman.h", "sys/wait.h", "sys/stat.h", "sys/file.h", "sys/types.h",
         "sys/resource.h", "signal.h"}
faults = []


def rules():
    out = {}
    for line in open(os.path.join(SOURCE, "cmake/layering.txt"), encoding="utf-8"):
        line = line.split("#")[0].strip()
        if not line:
            continue
        room, rest = line.split(":")
        rooms, _, foreign = rest.partition("|")
        out[room.strip()] = (rooms.split(), foreign.split())
    return out


def files():
    for top in ROOMS + ("tests",):
        for folder, _, names in os.walk(os.path.join(SOURCE, top)):
            for name in sorted(names):
                if name.endswith((".hpp", ".cpp")):
                    yield os.path.relpath(os.path.join(folder, name), SOURCE)


def room_of(path, known):
    fitting = [r for r in known if path == r or path.startswith(r + "/")]
    return max(fitting, key=len) if fitting else None


def check_includes(path, lines, known):
    room = room_of(path, known)
    if room is None:
        if not path.startswith("tests/"):
            faults.append(f"{path}: its room is not in cmake/layering.txt")
        return
    rooms, foreign = known[room]
    for number, line in enumerate(lines, 1):
        found = re.match(r'\s*#include\s+(["<])([^">]+)[">]', line)
        if not found:
            continue
        kind, name = found.groups()
        if kind == '"':
            allowed = any(name.startswith(r + "/") for r in rooms + [room])
        else:
            standard = re.fullmatch(r"[a-z_0-9]+", name) or name in POSIX
            allowed = standard or any(name.startswith(f) for f in foreign)
        if not allowed:
            faults.append(f"{path}:{number}: {room} may not include {name}")


ASKS = re.compile(r"\bm_asker\.\w+\(")
TAKEN = re.compile(r"(?:const\s+)?auto\s*(?:&&?|\*)\s*(\w+)\s*=\s*([^;]*);")
COPIED = re.compile(r"(?:const\s+)?auto\s+(\w+)\s*=\s*\*?(?:m_session\.(?:quilt|block|piece)\(\)|before)\s*;")
OUT_OF_QUILT = re.compile(r"m_session\.(?:quilt|block|piece)\(\)|\bfind\(|\bfilled\(|\bchosen\(|\bwanted\(|derived\(\)")


def bodies(text):
    """Each function's body, with the line it begins on. A function begins at the margin."""
    for found in re.finditer(r"^\S[^\n;{}]*\([^;{}]*\)[^;{}]*\{\n", text, re.M):
        end = text.find("\n}", found.end())
        yield text.count("\n", 0, found.start()) + 1, text[found.end():end]


def statement_end(body, start):
    depth = 0
    for i in range(start, len(body)):
        depth += {"(": 1, "{": 1, ")": -1, "}": -1}.get(body[i], 0)
        if body[i] == ";" and depth <= 0:
            return i
    return len(body)


def check_questions(path, text):
    if not path.startswith(("app/commands/", "app/window/")):
        return
    for line, body in bodies(re.sub(r'"(?:[^"\\\n]|\\.)*"', '""', text)):
        for ask in ASKS.finditer(body):
            before, after = body[:ask.start()], body[statement_end(body, ask.start()):]
            names = {m.group(1) for m in TAKEN.finditer(before) if OUT_OF_QUILT.search(m.group(2))}
            names |= {m.group(1) for m in COPIED.finditer(before)}
            for name in sorted(names):
                again = re.search(r"auto\s*[&*]*\s*" + name + r"\s*=", after)
                used = re.search(r"(?<![.\w>])" + name + r"\b", after[:again.start()] if again else after)
                if used:
                    faults.append(f"{path}:{line}: “{name}” is taken out of the quilt before a question and used "
                                  "after it; find it anew by its id (app/commands/answered.hpp)")


def check_qt():
    # Link lines as ninja has them: Qt among them means a Qt library crept in.
    wanted = ["bin/upstairs-cli", "bin/test_base", "bin/test_shape", "bin/test_plan", "bin/test_store", "bin/test_cli"]
    for name in wanted:
        path = os.path.join(BUILD, name)
        if not os.path.exists(path):
            faults.append(f"{name} was not built")
            continue
        needed = subprocess.run(["readelf", "-d", path], capture_output=True, text=True, check=True).stdout
        if re.search(r"NEEDED.*libQt", needed):
            faults.append(f"{name} links Qt")
    for folder, _, names in os.walk(os.path.join(BUILD, "core")):
        for name in names:
            if name.endswith(".a"):
                symbols = subprocess.run(["nm", "-C", "-u", os.path.join(folder, name)], capture_output=True, text=True, check=True).stdout
                if re.search(r"\bQ(String|Object|Widget|Painter)\b", symbols):
                    faults.append(f"{name} uses Qt")


def compile_alone(path, command):
    words = [w for w in command.split() if not w.endswith("ccache")]
    drop = {"-o", "-c", "-MT", "-MF", "-include"}
    kept, skip = [], False
    for word in words:
        if skip:
            skip = False
        elif word in drop:
            skip = True
        elif word != "-MD":
            kept.append(word)
    run = subprocess.run(kept + ["-Wno-unused-const-variable", "-fsyntax-only", "-x", "c++", "-include", os.path.join(SOURCE, path), "/dev/null"],
                         capture_output=True, text=True, cwd=BUILD)
    return None if run.returncode == 0 else f"{path} does not compile alone: {run.stderr.splitlines()[0] if run.stderr else ''}"


def compiled_in(file):
    """The sources of a file that was made to compile several together; else the file itself."""
    if "/Unity/" not in file:
        return [file]
    return re.findall(r'#include "([^"]+)"', open(file, encoding="utf-8").read())


def check_headers(headers):
    database = json.load(open(os.path.join(BUILD, "compile_commands.json"), encoding="utf-8"))
    commands = {}
    for entry in database:
        for file in compiled_in(entry["file"]):
            commands[os.path.relpath(file, SOURCE)] = entry["command"]

    def nearest(header):
        same = [f for f in commands if os.path.dirname(f) == os.path.dirname(header)]
        top = [f for f in commands if f.split("/")[0] == header.split("/")[0]]
        return commands[sorted(same or top)[0]] if same or top else None

    headers = [h for h in headers if nearest(h)]  # benchmarks are not always built
    with concurrent.futures.ThreadPoolExecutor(2) as pool:
        for fault in pool.map(lambda h: compile_alone(h, nearest(h)), headers):
            if fault:
                faults.append(fault)


def main():
    if "--headers" in sys.argv[3:]:
        check_headers([p for p in files() if p.endswith(".hpp") and not p.startswith("tests/")])
        print("\n".join(faults) if faults else "every header compiles alone")
        return 1 if faults else 0
    known = rules()
    for path in files():
        lines = open(os.path.join(SOURCE, path), encoding="utf-8").read().splitlines()
        if len(lines) > 600:
            faults.append(f"{path} has {len(lines)} lines; 600 is the most")
        if not lines or "SPDX-License-Identifier" not in lines[0]:
            faults.append(f"{path} does not begin with its licence")
        check_includes(path, lines, known)
        check_questions(path, "\n".join(lines))
    check_qt()
    print("\n".join(faults) if faults else "all locks closed")
    return 1 if faults else 0


sys.exit(main())
