import type { MoveReason, StopReason } from '../core/timing/applications.ts';
import type { Day } from '../core/timing/calendar.ts';
import type { DayReason } from '../core/timing/dayCheck.ts';
import type { RotationReason } from '../core/timing/schedule.ts';
import type { WindowReason } from '../core/timing/windowReason.ts';
import type { SeasonName } from '../core/schema/window.ts';
import { dayInWords, monthDayInWords } from './days.ts';

const SEASONS: Readonly<Record<SeasonName, string>> = {
  dormant: 'while the plant rests, by the temperatures here',
  'late-winter': 'the last weeks before growth starts here',
  'bud-break': 'as buds open here, about 100 degree-days above 5 C',
  spring: 'from the start of growth towards summer here',
  'early-summer': 'the weeks before the warmest days here',
  summer: 'the warmest weeks here',
  'late-summer': 'the weeks after the warmest days here',
  autumn: 'from the cooling of late summer to the end of growth here',
  growing: 'from the start to the end of growth here',
  'frost-free': 'while mean nights here stay above 6 C',
};

/** What the dates of a window hang on. */
export function windowReasonText(reason: WindowReason): string {
  switch (reason.code) {
    case 'any-time':
      return 'at any time';
    case 'plant-stage':
      return 'counted from the turns of the plant itself';
    case 'season':
      return SEASONS[reason.season];
    case 'degree-days':
      return `between ${reason.from} and ${reason.to} degree-days above ${reason.baseCelsius} C; ${reason.soFar} so far`;
    case 'calendar': {
      const days = [reason.from, reason.to].map(monthDayInWords).join(' to ');
      return `${days} in ${reason.place ?? 'the reference place'}, carried here by the heat of the season`;
    }
  }
}

const percent = (probability: number): string => `${Math.round(100 * probability)} %`;
const degrees = (celsius: number): string => `${Math.round(celsius)} C`;

/** What speaks against a day, in a word or two and in full. */
export function dayReasonText(reason: DayReason): { brief: string; text: string } {
  switch (reason.code) {
    case 'too-hot': {
      const most = degrees(reason.celsius);
      return { brief: most, text: `${most}: above ${reason.limit} C it burns or fails` };
    }
    case 'too-cold': {
      const most = degrees(reason.celsius);
      return { brief: most, text: `${most} at most: below ${reason.limit} C it does not work` };
    }
    case 'frost':
      return { brief: 'frost', text: 'frost: a wet spray would freeze on the plant' };
    case 'no-hours':
      return { brief: 'no hours', text: 'no hours of the day suit it' };
    case 'wind-unknown':
      return { brief: 'wind?', text: `wind is not known: not above ${reason.limit} km/h` };
    case 'windy': {
      const wind = Math.round(reason.kmh);
      const text = `wind of ${wind} km/h: above ${reason.limit} it drifts`;
      return { brief: `wind ${wind}`, text };
    }
    case 'maybe-too-hot':
      return { brief: 'heat?', text: `it may become hotter than ${reason.limit} C` };
    case 'rain-likely': {
      const chance = percent(reason.probability);
      return { brief: `rain ${chance}`, text: `rain is likely (${chance})` };
    }
    case 'rain-possible': {
      const chance = percent(reason.probability);
      return { brief: `rain ${chance}`, text: `rain may come (${chance})` };
    }
  }
}

function stopReasonText(reason: StopReason, today: Day): string {
  switch (reason.code) {
    case 'window-closes':
      return `its window closes about ${dayInWords(reason.on, today)}`;
    case 'days-to-harvest':
      return `the label wants ${reason.days} days before the harvest on ${dayInWords(reason.harvest, today)}`;
    case 're-entry':
      return `the label keeps people away for ${reason.hours} hours, and the harvest is on ${dayInWords(reason.harvest, today)}`;
    case 'most-in-a-year':
      return `the label allows ${reason.times} in a year`;
  }
}

/** Why an application is on another day than it would be by the interval, has moved, or is gone. */
export function moveReasonText(reason: MoveReason, today: Day): string {
  switch (reason.code) {
    case 'washed-off':
      return `${Math.round(reason.millimetres)} mm of rain since ${dayInWords(reason.since, today)} washed it off`;
    case 'was-due':
      return `it was due on ${dayInWords(reason.on, today)}`;
    case 'weather': {
      const reasons = reason.reasons.map((one) => dayReasonText(one).text);
      return `${dayInWords(reason.on, today)}: ${reasons.join(', ')}`;
    }
    case 'in-flower':
      return `it is in flower until about ${dayInWords(reason.until, today)}, for the bees`;
    case 'stopped': {
      const stop = stopReasonText(reason.reason, today);
      return `${reason.done} of ${reason.of}: ${stop}, and the next would be on ${dayInWords(reason.next, today)}`;
    }
    case 'after-one-before':
      return 'it goes by the day on which the one before was done';
    case 'free-again':
      return 'nothing stands against the earlier day any more';
    case 'window-moved':
      return 'its window moved';
    case 'left-out':
      return 'it is no longer part of the plan';
  }
}

/** What resistance asks for. */
export function rotationText(reason: RotationReason): string {
  switch (reason.code) {
    case 'same-group-twice':
      return `Another step is of the same group ${reason.group}: it is no change of group.`;
    case 'change-group':
      return `After ${reason.after} in a row of group ${reason.group} use one of another group, so that resistance does not build up.`;
  }
}
