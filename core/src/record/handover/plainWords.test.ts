import { expect, test } from '@jest/globals';
import { quantity } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { plainWords } from './plainWords.ts';

const degF = (n: number) => quantity(n, 'degF');
const cooler: SettingValues = {
  'regulation.action': 'cool',
  'regulation.setpoint': degF(34),
  'regulation.differential': quantity(4, 'deltaF'),
  'regulation.differentialPlacement': 'setpointIsCutOut',
  'regulation.setpointMin': degF(33),
  'regulation.setpointMax': degF(40),
  'compressor.minOffTime': quantity(3, 'min'),
  'defrost.method': 'offCycle',
  'defrost.initiation': 'interval',
  'defrost.interval': quantity(6, 'h'),
  'defrost.termination': 'time',
  'defrost.maxDuration': quantity(30, 'min'),
  'alarms.reference': 'absolute',
  'alarms.highTemperature': degF(45),
  'alarms.lowTemperature': degF(30),
  'alarms.delay': quantity(60, 'min'),
  'access.keypadLock': true,
};

test('says what a control is set to in the reader’s degrees', () => {
  expect(plainWords(cooler, 'degF')).toEqual([
    'It starts cooling at 38 °F and stops at 34 °F.',
    'The set point can be moved from 33 °F to 40 °F.',
    'After each stop it waits at least 3 min: it does not start at once.',
    'It defrosts every 6 h with the compressor off, at most 30 min.',
    'It alarms above 45 °F or below 30 °F for 60 min.',
    'Its keys are locked.',
  ]);
  // 38 °F is 3.3 °C, 34 °F is 1.1 °C: (F − 32) · 5 / 9.
  expect(plainWords(cooler, 'degC')[0]).toBe('It starts cooling at 3.3 °C and stops at 1.1 °C.');
});

test('speaks of nothing that is not known: no band without knowing where the differential lies', () => {
  expect(plainWords({}, 'degF')).toEqual([]);
  const { 'regulation.differentialPlacement': _unknown, ...rest } = cooler;
  expect(plainWords(rest, 'degF')[0]).toBe('Its set point is 34 °F.');
});

test('a defrost is told by what starts and ends it', () => {
  const words = (part: SettingValues) =>
    plainWords({ ...cooler, ...part }, 'degF').find((line) => line.startsWith('It defrosts'));
  expect(words({ 'defrost.initiation': 'compressorRunTime' })).toContain('after 6 h of running');
  expect(words({ 'defrost.initiation': 'clock', 'defrost.clockTimes': ['02:00', '14:00'] })).toContain(
    'at 02:00, 14:00',
  );
  expect(words({ 'defrost.termination': 'temperature', 'defrost.endTemperature': degF(55) })).toContain(
    'until the coil is at 55 °F, at most 30 min',
  );
  // Nobody stated what is counted.
  const { 'defrost.initiation': _unknown, ...rest } = cooler;
  expect(plainWords(rest, 'degF').some((line) => line.startsWith('It defrosts'))).toBe(false);
});

test('heating mirrors cooling, and limits beside the set point are told as degrees', () => {
  const heats: SettingValues = {
    ...cooler,
    'regulation.action': 'heat',
    'alarms.reference': 'relative',
    'alarms.highOffset': quantity(10, 'deltaF'),
  };
  const words = plainWords(heats, 'degF');
  expect(words[0]).toBe('It starts heating at 30 °F and stops at 34 °F.');
  expect(words).toContain('It alarms above 44 °F for 60 min.');
});
