<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Lessons\Situations;
use App\Models\Academy;
use App\Models\Prescription;
use Sabre\VObject\Component\VCalendar;

/** The next look as an entry in a calendar (RFC 5545): all day, with a reminder the day before. It names nobody. */
final readonly class NoteCalendar
{
    public function __construct(private Situations $situations)
    {
    }

    public function of(Prescription $of): string
    {
        $next = $of->next_on ?? abort(404);
        $drill = $this->situations->codebook($of)->drills()[$of->drill ?? ''] ?? null;
        $calendar = new VCalendar(['PRODID' => '-//'.__('places.product').'//'.__('note.calendar.page').'//EN']);
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "note-$of->public_id",
            'DTSTAMP' => ($of->issued_at ?? now())->toDateTimeImmutable(),
            'SUMMARY' => (string) __('note.calendar.title', ['academy' => Academy::here()->name ?? '']),
            'DESCRIPTION' => (string) __('note.calendar.says', [
                'cue' => (string) ($of->plan['cue'] ?? ''),
                'drill' => $drill->name ?? '',
            ]),
            'TRANSP' => 'TRANSPARENT',
        ]);
        $event->add('DTSTART', $next->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $next->copy()->addDay()->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add($calendar->createComponent('VALARM', [
            'ACTION' => 'DISPLAY',
            'DESCRIPTION' => (string) __('note.calendar.page'),
            'TRIGGER' => '-P1D',
        ]));
        $calendar->add($event);

        return $calendar->serialize();
    }
}
