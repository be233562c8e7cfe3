import { Injectable } from '@nestjs/common';

/** The only place that asks what time it is; tests put another in its place. */
@Injectable()
export class Clock {
  now(): Date {
    return new Date();
  }

  /** The calendar day in a zone, 2026-11-25. */
  dayIn(zone: string): string {
    return new Intl.DateTimeFormat('en-CA', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(this.now());
  }
}
