#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Kills the program while it saves and while it works, over and over: no file is ever harmed, and no edit older than half
a second is lost. usage: kills.py BUILD [KILLS] [SEED]

The program (`killed` below) is a little one of our own that edits ten times a second, saves now and then, and writes the
time of each edit to a pipe; it uses the same session, recovery copy and files as the window.
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


def edits_in(text):
    """The number that the worker's last edit put into the quilt's name."""
    return int(json.loads(text)["name"].split()[-1])


harmed, lost, worst = 0, 0, 0.0
with tempfile.TemporaryDirectory() as folder:
    quilt = os.path.join(folder, "q.upstairs")
    for kill in range(kills):
        run = subprocess.Popen([worker, folder, quilt, str(kill)], stdout=subprocess.PIPE, env=environment)
        time.sleep(random.uniform(0.2, 1.2))
        run.send_signal(signal.SIGKILL)
        ended = time.time()
        said = run.stdout.read().decode().splitlines()
        run.wait()
        edits = [(int(number), float(at)) for number, at in (line.split() for line in said if len(line.split()) == 2)]
        kept = 0
        if os.path.exists(quilt):
            try:
                kept = edits_in(open(quilt, encoding="utf-8").read())
            except (ValueError, KeyError) as wrong:
                harmed += 1
                print(f"kill {kill}: the file is harmed: {wrong}")
        for copy in glob.glob(os.path.join(folder, "recovery-*.json")):
            try:
                kept = max(kept, edits_in(json.loads(open(copy, encoding="utf-8").read())["quilt"]))
            except (ValueError, KeyError) as wrong:
                harmed += 1
                print(f"kill {kill}: a copy is harmed: {wrong}")
        old = [at for number, at in edits if number > kept and at < ended - 0.5]
        if old:
            lost += 1
            worst = max(worst, ended - min(old))
            print(f"kill {kill}: edits from {ended - min(old):.2f} s before are lost")
    left = [name for name in os.listdir(folder) if name.endswith(".part")]
print(f"{kills} kills, seed {seed}: {harmed} files harmed, {lost} times an edit older than 0.5 s lost (worst {worst:.2f} s), "
      f"{len(left)} half files left")
sys.exit(1 if harmed or lost or left else 0)
