<?php

declare(strict_types=1);

namespace App\Lessons\Pages;

use App\Codebook\DrawingInks;
use App\Http\Pdf;
use App\Lessons\LessonSeries;
use App\Lessons\Situations;
use App\Models\Academy;
use App\Models\FollowUp;
use App\Models\Prescription;
use App\Models\Recording;
use App\Models\User;
use App\Sight\LessonSight;
use App\Words\Term;
use Core\Codebook\Codebook;
use Core\Codebook\Drill;
use Core\Codebook\Rung;
use Core\Motion\Station;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/**
 * The one page that a golfer keeps on a wall: the thing to think of, the drill, stills, cautions, the next date.
 *
 * @phpstan-import-type Still from Stills
 */
final readonly class NotePage
{
    public function __construct(
        private Situations $situations,
        private LessonSeries $series,
        private LessonSight $sight,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Prescription $of, User $user): array
    {
        $lesson = $of->lesson;
        $codebook = $this->situations->codebook($of);
        $drill = $codebook->drills()[$of->drill ?? ''] ?? null;
        $plan = $of->plan ?? [];
        $text = static fn (string $name): string => trim((string) ($plan[$name] ?? ''));

        return [
            'prescription' => $of,
            'academy' => Academy::here()->name ?? '',
            'golfer' => $lesson->golfer->pseudonym,
            'day' => $lesson->held_on->format('j F Y'),
            'by' => $of->prescriber->name,
            'cue' => $text('cue'),
            'image' => $text('image'),
            'drill' => $drill === null ? '' : ucfirst($drill->name),
            'drawing' => self::drawing($drill),
            'drawingData' => self::drawingData($drill),
            'setUp' => $drill->setUp ?? '',
            'steps' => $drill->steps ?? [],
            'how' => self::how($plan),
            'rows' => array_filter([
                'dose' => $text('dose'),
                'check' => $text('check'),
                'pass' => $text('pass'),
                'ladder' => self::ladder($plan),
                'feels' => $text('feels'),
                'effect' => $text('effect'),
                'ignore' => $text('ignore'),
                'keep' => $text('keep'),
            ], static fn (string $says): bool => $says !== ''),
            'stop' => $text('stop'),
            'caution' => $drill->caution ?? '',
            'spare' => Term::limits($lesson->golfer),
            'against' => array_map(static fn (string $key): string => Reasons::kept($key, $codebook), $of->against),
            'reason' => $of->reason,
            'minor' => $lesson->golfer->mayBeMinor(),
            'until' => $of->until?->format('j F Y'),
            'next' => $of->next_on?->format('l, j F Y'),
            'stills' => $this->stills($of, $codebook, $user),
            'lines' => $of->lines['before'] ?? [],
        ];
    }

    /** @param  array<string, string|int>  $plan */
    private static function how(array $plan): string
    {
        return (string) __('note.how', [
            'club' => ucfirst(trim((string) ($plan['club'] ?? ''))) ?: (string) __('note.any-club'),
            'speed' => $plan['speed'] ?? '',
            'ball' => (string) __('prescriptions.balls.'.($plan['ball'] ?? 'none')),
        ]);
    }

    /** @param  array<string, string|int>  $plan */
    private static function ladder(array $plan): string
    {
        $all = Rung::cases();
        $from = array_search(Rung::tryFrom((string) ($plan['from'] ?? '')), $all, true);
        $to = array_search(Rung::tryFrom((string) ($plan['to'] ?? '')), $all, true);

        return ! is_int($from) || ! is_int($to) ? '' : implode(' → ', array_map(
            static fn (Rung $r): string => (string) __("codebook.rungs.$r->value"),
            array_slice($all, $from, max(1, $to - $from + 1)),
        ));
    }

    /** @return string|null the drawing's file, among what is public; none of a drill of the academy's own */
    private static function drawing(?Drill $drill): ?string
    {
        $file = 'drills/'.($drill->key ?? '').'.svg';

        return $drill !== null && is_file(public_path($file)) ? $file : null;
    }

    /** The same as the address of a picture, for paper. */
    private static function drawingData(?Drill $drill): ?string
    {
        $file = self::drawing($drill);

        return $file === null
            ? null
            : 'data:image/svg+xml;base64,'.base64_encode(File::get(public_path($file)));
    }

    /** @return list<array<string, mixed>> before, and from a follow-up that may be seen: rehearsal and after */
    private function stills(Prescription $of, Codebook $codebook, User $user): array
    {
        $station = StillStation::of($of, $codebook);
        $before = $this->series->full($of->lesson)[0] ?? null;
        $lines = $of->lines['before'] ?? [];
        $out = [self::still('before', $before, $station, $lines)];
        $last = $of->followUps()->whereNotNull('locked_at')
            ->with(['lesson.golfer', 'swings.films', 'swings.golfer'])
            ->orderByDesc('id')
            ->first();
        if ($last !== null && $this->sight->isOpen($last->lesson, $user)) {
            $rungs = $last->rungs();
            $rehearsed = self::onRung($last, $rungs, [Rung::Rehearsal, Rung::WithClub]);
            $after = self::onRung($last, $rungs, [Rung::Course, Rung::FullSpeed, Rung::LongClub, Rung::MidIron]);
            $out[] = self::still('rehearsal', $rehearsed, $station, $lines);
            $out[] = self::still('after', $after, $station, $lines);
        }

        return array_values(array_filter($out, static fn (?array $s): bool => $s !== null));
    }

    /**
     * @param  array<int, Rung>  $rungs
     * @param  list<Rung>  $wanted
     */
    private static function onRung(FollowUp $of, array $rungs, array $wanted): ?Recording
    {
        foreach ($wanted as $rung) {
            $id = array_search($rung, $rungs, true);
            if ($id !== false) {
                return $of->swings->firstWhere('id', $id);
            }
        }

        return null;
    }

    /**
     * @param  list<list<float>>  $lines
     * @return array<string, mixed>|null
     */
    private static function still(string $which, ?Recording $swing, Station $station, array $lines): ?array
    {
        $still = $swing === null ? null : Stills::of($swing, $station);
        if ($still === null) {
            return null;
        }

        return [...$still, 'which' => $which, 'picture' => self::picture($still, $lines)];
    }

    /**
     * For paper: a picture that carries its bytes with it, its lines in it.
     *
     * @param  Still  $still
     * @param  list<list<float>>  $lines
     */
    private static function picture(array $still, array $lines): ?string
    {
        $file = $still['file'];
        if ($still['kind'] === 'film' && ($file === null || ! Storage::disk('films')->exists($file))) {
            return null;
        }
        $bytes = $file === null ? null : (string) Storage::disk('films')->get($file);
        $size = $bytes === null ? false : getimagesizefromstring($bytes);
        [$x, $y, $width, $height] = $size === false ? Stills::BOX : [0.0, 0.0, (float) $size[0], (float) $size[1]];

        return Pdf::picture('lessons.still-paper', [
            'box' => "$x $y $width $height",
            'width' => $width,
            'height' => $height,
            'data' => $bytes === null ? null : 'data:image/jpeg;base64,'.base64_encode($bytes),
            'mirrored' => $still['mirrored'],
            'shapes' => $still['shapes'],
            'inks' => DrawingInks::ALL,
            'stroke' => $width / 160.0,
            'lines' => array_map(static fn (array $l): array => [
                $x + $l[0] * $width, $y + $l[1] * $height, $x + $l[2] * $width, $y + $l[3] * $height,
            ], $lines),
        ]);
    }
}
