#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Quilt files against docs/formats/quilt.schema.json, older ones against theirs; a stash of everything. usage: schema.py SOURCE QUILT CLI"""
import glob
import json
import os
import subprocess
import sys

import jsonschema

source, sample, cli = sys.argv[1:4]
schema = json.load(open(os.path.join(source, "docs/formats/quilt.schema.json"), encoding="utf-8"))
jsonschema.Draft202012Validator.check_schema(schema)
validator = jsonschema.Draft202012Validator(schema)
samples = [sample, os.path.join(os.path.dirname(sample), "other-ways.upstairs")]
for one in samples:
    validator.validate(json.load(open(one, encoding="utf-8")))
files = len(samples)
for version in sorted(glob.glob(os.path.join(source, "tests/formats/v*"))):
    old = json.load(open(os.path.join(version, "quilt.schema.json"), encoding="utf-8"))
    for name in sorted(glob.glob(os.path.join(version, "*.upstairs"))):
        jsonschema.Draft202012Validator(old).validate(json.load(open(name, encoding="utf-8")))
        files += 1
stash = json.load(open(os.path.join(source, "tests/formats/stash.json"), encoding="utf-8"))
schema = json.load(open(os.path.join(source, "docs/formats/stash.schema.json"), encoding="utf-8"))
jsonschema.Draft202012Validator.check_schema(schema)
stashes = jsonschema.Draft202012Validator(schema)
stashes.validate(stash)
stash["threads"][0]["colour"] = "red"
if stashes.is_valid(stash):
    sys.exit("the stash's schema lets a colour pass that is none")
files += 1
finishing = [json.loads(subprocess.run([cli, "finish", one], check=True, capture_output=True).stdout) for one in samples]
schema = json.load(open(os.path.join(source, "docs/formats/finishing.schema.json"), encoding="utf-8"))
jsonschema.Draft202012Validator.check_schema(schema)
finishes = jsonschema.Draft202012Validator(schema)
for one in finishing:
    finishes.validate(one)
finishing[0]["blocks"][0]["trimTo"] = [1]
if finishes.is_valid(finishing[0]):
    sys.exit("the schema of finishing lets a size of one side pass")
files += 1
bad = json.load(open(sample, encoding="utf-8"))
bad["blocks"][0]["pieces"][0]["step"] = "ironed"
if validator.is_valid(bad):
    sys.exit("the schema lets an unknown step pass")
print(f"{files} files are as described")
