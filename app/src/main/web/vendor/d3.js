// The few d3 modules that the charts use, bundled to one file at build time.
export { axisBottom, axisLeft, axisTop } from "d3-axis";
export { scaleLinear, scaleUtc } from "d3-scale";
export { create, pointer, select } from "d3-selection";
export { area, curveStepAfter, line } from "d3-shape";
