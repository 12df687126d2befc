#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Two windows on one file, killed while they save and while they work, over and over: no file is ever harmed, no window
writes over the other's file, and no edit older than half a second is lost. usage: kills.py BUILD [KILLS] [SEED]

The program (`edits_for_ever`) is a little one of our own that edits ten to two hundred times a second, saves now and then,
and writes the time of each edit to a pipe; it uses the same session, recovery copy, locks and files as the window. The
second one finds the quilt open and saves under another name. Each begins by taking up what was left of its own work.
"""
import glob
import json
import os
import random
import signal
import subprocess
import sys
import tempfile
import time

build, kills, seed = sys.argv[1], int(sys.argv[2]) if len(sys.argv) > 2 else 200, int(sys.argv[3]) if len(sys.argv) > 3 else 1
random.seed(seed)
worker = os.path.join(build, "bin/edits_for_ever")
environment = dict(os.environ, QT_QPA_PLATFORM="offscreen", LC_ALL="C.UTF-8")
harmed, lost, worst, over, told = 0, 0, 0.0, 0, {"Edit": 0, "Second": 0}


def found_in(path, unwrap, kill):
    """("Edit" or "Second", number) of the last edit in the file; None when it is harmed."""
    global harmed
    try:
        with open(path, encoding="utf-8") as file:
            text = file.read()
        name = json.loads(json.loads(text)["quilt"] if unwrap else text)["name"].split()
        return name[0], int(name[1])
    except (ValueError, KeyError, IndexError) as wrong:
        harmed += 1
        print(f"kill {kill}: {path} is harmed: {wrong}")
        return None


def started(kill, *words):
    run = subprocess.Popen([worker, folder, quilt, str(kill), *words], stdout=subprocess.PIPE, env=environment)
    return run, [run.stdout.readline().decode()]  # it has its locks by its first edit


with tempfile.TemporaryDirectory() as folder:
    quilt = os.path.join(folder, "q.upstairs")
    second = quilt + ".second.upstairs"
    for kill in range(0, kills, 2):
        runs = {"Edit": started(kill)}
        runs["Second"] = started(kill, "second")
        time.sleep(random.uniform(0.0, 1.2))
        ended = {}
        for who in random.sample(sorted(runs), 2):
            runs[who][0].send_signal(signal.SIGKILL)
            ended[who] = time.time()
            time.sleep(random.choice([0, random.uniform(0.0, 0.4)]))
        kept = {"Edit": 0, "Second": 0}
        files = [(path, False) for path in (quilt, second) if os.path.exists(path)]
        for path, unwrap in files + [(path, True) for path in glob.glob(os.path.join(folder, "recovery-*.json"))]:
            found = found_in(path, unwrap, kill)
            if not found:
                continue
            kept[found[0]] = max(kept[found[0]], found[1])
            if not unwrap and found[0] != ("Edit" if path == quilt else "Second"):
                over += 1
                print(f"kill {kill}: {path} was written by the other window")
        for who, (run, said) in runs.items():
            said += run.stdout.read().decode().splitlines()
            run.wait()
            edits = [(int(number), float(at)) for number, at in (line.split() for line in said if len(line.split()) == 2)]
            told[who] += len(edits)
            old = [at for number, at in edits if number > kept[who] and at < ended[who] - 0.5]
            if old:
                lost += 1
                worst = max(worst, ended[who] - min(old))
                print(f"kill {kill}: edits of {who} from {ended[who] - min(old):.2f} s before are lost")
    left = [name for name in os.listdir(folder) if name.endswith(".part")]
print(f"{kills} kills, seed {seed}, {told['Edit']} and {told['Second']} edits: {harmed} files harmed, {over} written over, "
      f"{lost} times an edit older than 0.5 s lost (worst {worst:.2f} s), {len(left)} half files left")
sys.exit(1 if harmed or lost or left or over else 0)
