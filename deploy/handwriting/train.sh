#!/usr/bin/env bash
# Makes core/src/Handwriting/Weights.php anew from Made/Drawn.php. Takes some minutes.
set -euo pipefail
cd "$(dirname "$0")"
tmp=$(mktemp -d)
trap 'rm -rf "$tmp"' EXIT
php samples.php 260 1 train > "$tmp/train.csv"
php samples.php 12 900 trial > "$tmp/trial.csv"
node train.mjs "$tmp/train.csv" "$tmp/trial.csv" ../../core/src/Handwriting/Weights.php
