<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use Core\Reading\Stage;
use Sabre\VObject\Component\VCalendar;

/**
 * A round as one reader's entry in a calendar (RFC 5545): all day on the day it is due, with a reminder the day before.
 * It tells no more than Today does; cases that come twice are cases like others.
 */
final class RoundCalendar
{
    public function of(Sitting $round, User $user): string
    {
        $due = $round->due_on ?? abort(404);
        $cases = Reading::query()
            ->where('user_id', $user->id)
            ->where('stage', Stage::Blind)
            ->whereIn('sitting_case_id', $round->cases()->whereNull('withdrawn_at')->select('id'))
            ->count();
        $calendar = new VCalendar(['PRODID' => '-//'.__('places.product').'//'.__('round.calendar.page').'//EN']);
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "$round->public_id-$user->id",
            'DTSTAMP' => ($round->updated_at ?? now())->toDateTimeImmutable(),
            'SUMMARY' => trans_choice('round.calendar.title', $cases, ['round' => $round->name, 'count' => $cases]),
            'DESCRIPTION' => (string) __('round.calendar.says', ['url' => route('today')]),
            'URL' => route('today'),
            'TRANSP' => 'TRANSPARENT',
        ]);
        $event->add('DTSTART', $due->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $due->copy()->addDay()->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add($calendar->createComponent('VALARM', [
            'ACTION' => 'DISPLAY',
            'DESCRIPTION' => $round->name,
            'TRIGGER' => '-P1D',
        ]));
        $calendar->add($event);

        return $calendar->serialize();
    }
}
