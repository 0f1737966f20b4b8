"""Writes made-up tail parts as an SVG sized in dots (96 an inch), with nested groups, symbols and a style sheet, as a drawing program would."""
import sys

DOT = 96 / 25.4  # dots in a millimetre


def n(value):
    return f"{value * DOT:.4f}"


parts = f"""<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" xmlns:d="urn:made-up" width="{n(420)}" height="{n(260)}">
  <title>Plover, tail parts</title>
  <style>
    .edge {{ fill: none; stroke: #c22; stroke-width: 1 }}
    .score {{ fill: none; stroke: rgb(20, 40, 200); stroke-width: .6 }}
    .pen {{ fill: none; stroke: gray; stroke-width: .5; stroke-dasharray: 4 3 }}
  </style>
  <defs>
    <linearGradient id="shade"><stop offset="0" stop-color="#fff"/></linearGradient>
    <symbol id="bolt" viewBox="0 0 10 10"><circle cx="5" cy="5" r="5" class="edge"/></symbol>
    <g id="half"><path class="edge" d="M0 0h{n(180)}v{n(60)}a{n(20)} {n(20)} 0 0 1 -{n(20)} {n(20)}h-{n(140)}q-{n(20)} 0 -{n(20)} -{n(20)}z"/></g>
  </defs>
  <g d:label="Stabiliser" transform="translate({n(10)} {n(20)})">
    <g transform="scale(2)"><g transform="scale(.5)"><use xlink:href="#half"/></g></g>
    <polyline class="score" points="0,0 {n(180)},0" transform="translate(0 {n(50)})"/>
    <text x="{n(40)}" y="{n(30)}" font-size="{n(8)}">Stabiliser half x2</text>
    <use href="#bolt" x="{n(30)}" y="{n(10)}" width="{n(6)}" height="{n(6)}"/>
    <use href="#bolt" x="{n(90)}" y="{n(10)}" width="{n(6)}" height="{n(6)}"/>
  </g>
  <g d:label="Fin" transform="translate({n(320)} {n(120)}) rotate(90)">
    <rect class="edge" width="{n(90)}" height="{n(70)}" rx="{n(12)}"/>
    <path class="score" d="M{n(60)} 0V{n(70)}"/>
    <path class="pen" d="M0 {n(35)}H{n(90)}"/>
    <text transform="translate({n(10)} {n(20)})" font-size="{n(8)}">Fin</text>
  </g>
  <g d:label="Skid" transform="matrix(1 0 0 -1 {n(60)} {n(230)})">
    <polygon class="edge" points="0,0 {n(120)},0 {n(120)},{n(15)} {n(40)},{n(40)} 0,{n(40)}"/>
    <ellipse class="edge" cx="{n(25)}" cy="{n(20)}" rx="{n(10)}" ry="{n(5)}"/>
  </g>
  <rect x="0" y="0" width="{n(420)}" height="{n(260)}" fill="none"/>
</svg>
"""
open(sys.argv[1], "w").write(parts)
