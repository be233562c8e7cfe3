import { Injectable } from '@nestjs/common';

/** The only place that asks what time it is; tests put another in its place. */
@Injectable()
export class Clock {
  now(): Date {
    return new Date();
  }

  // Made once a zone: making one takes longer than all the rest of a short answer.
  private readonly days = new Map<string, Intl.DateTimeFormat>();

  /** The calendar day in a zone, 2026-11-25. */
  dayIn(zone: string): string {
    const known = this.days.get(zone);
    const day = known ?? new Intl.DateTimeFormat('en-CA', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' });
    if (!known) this.days.set(zone, day);
    return day.format(this.now());
  }
}
