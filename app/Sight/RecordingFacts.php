<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\User;
use Core\Sight\Place;
use Core\Sight\Scope;
use Core\Sight\Standing;
use Illuminate\Support\Facades\DB;

/**
 * What the rules of sight ask of recordings for one person: what is agreed to, what is held, whose it is. Read once.
 */
final class RecordingFacts
{
    /** @var array<int, array{consents: bool, lessons: bool, held: bool, own: bool}> by recording; all a sheet asks */
    private array $agreed = [];

    /**
     * @var array<int, array{room: bool, feel: bool, example: bool, looked: bool, kept: bool, gives: bool}> by recording
     */
    private array $rest = [];

    private const LEFT_OUT = [
        'room' => false, 'feel' => false, 'example' => false, 'looked' => false, 'kept' => false, 'gives' => false,
    ];

    /** Statements are written out: pages and saves ask them before anything else. What COVERED asks for comes first. */
    private const AGREED = 'cross join lateral (
            select bool_or(consents.scope = \''.Scope::StaffTraining->value.'\') as staff,
                bool_or(consents.scope = \''.Scope::Lessons->value.'\') as lessons,
                bool_or(consents.scope = \''.Scope::DebriefFilm->value.'\') as room,
                bool_or(consents.scope = \''.Scope::TeachingMaterial->value.'\') as teaching
            from consents where '.Golfer::COVERED.'
        ) agreed';

    /** Asks for the person once more; of sheets the same is asked of a function, agreed_for_sheets. */
    private const ALL = 'select recordings.id, recordings.erased_at, recordings.golfer_id, agreed.*,
            lessons.asks_feel and lessons.feel_locked_at is null as feel, lessons.given_by as given_by,
            exists (select 1 from codebook_examples x where x.recording_id = recordings.id) as example,
            exists (select 1 from case_swings w join sitting_cases c on c.case_id = w.case_id
                where w.recording_id = recordings.id and c.reserved) as kept,
            looked.recording_id is not null as looked
        from recordings join golfers on golfers.id = recordings.golfer_id
        left join lessons on lessons.id = recordings.lesson_id '.self::AGREED.'
        left join lateral (
            select e.recording_id from exposures e where e.recording_id = recordings.id and e.user_id = ? limit 1
        ) looked on true';

    public function __construct(private readonly User $user)
    {
    }

    /**
     * Fetches the facts of these recordings at once.
     *
     * @param  list<int>  $ids
     */
    public function know(array $ids): void
    {
        $ids = array_values(array_filter($ids, fn (int $id): bool => ! isset($this->rest[$id])));
        $of = $ids === [] ? [] : self::byRecording(DB::select(
            self::ALL.' where recordings.id in ('.implode(', ', array_fill(0, count($ids), '?')).')',
            [...Golfer::coveredOn(), $this->user->id, ...$ids],
        ));
        foreach ($ids as $id) {
            $row = $of[$id] ?? [];
            $is = static fn (string $fact): bool => ($row[$fact] ?? false) === true;
            $this->agreed[$id] = $this->agreedBy($row);
            $this->rest[$id] = [
                'room' => $is('room'),
                'feel' => $is('feel'),
                'example' => $is('example') && $is('teaching') && ! $is('kept'),
                'looked' => $is('looked'),
                'kept' => $is('kept'),
                'gives' => ($row['given_by'] ?? null) === $this->user->id,
            ];
        }
    }

    /**
     * Fetches what sheets ask of these recordings, and no more.
     *
     * @param  list<int>  $ids
     */
    public function knowForSheets(array $ids): void
    {
        $ids = array_values(array_filter($ids, fn (int $id): bool => ! isset($this->agreed[$id])));
        $of = $ids === [] ? [] : self::byRecording(DB::select(
            'select * from agreed_for_sheets(?, ?, ?)',
            ['{'.implode(',', $ids).'}', ...Golfer::coveredOn()],
        ));
        foreach ($ids as $id) {
            $this->agreed[$id] = $this->agreedBy($of[$id] ?? []);
        }
    }

    /**
     * @param  array<mixed>  $rows
     * @return array<int, array<string, mixed>>
     */
    private static function byRecording(array $rows): array
    {
        $out = [];
        foreach ($rows as $row) {
            /** @var array<string, mixed> $row */
            $row = (array) $row;
            $out[Cell::int($row['id'])] = $row;
        }

        return $out;
    }

    /**
     * @param  array<string, mixed>  $row  empty where there is none
     * @return array{consents: bool, lessons: bool, held: bool, own: bool}
     */
    private function agreedBy(array $row): array
    {
        return [
            'consents' => ($row['staff'] ?? false) === true,
            'lessons' => ($row['lessons'] ?? false) === true,
            'held' => $row !== [] && $row['erased_at'] === null,
            'own' => $row !== [] && $row['golfer_id'] === $this->user->golfer_id,
        ];
    }

    /** @param  list<Place>  $places */
    public function standing(int $recording, array $places): Standing
    {
        $this->know([$recording]);

        return $this->stands($recording, $places, $this->rest[$recording]);
    }

    /**
     * As the rules for the person's own sheet need it, and no others: they ask for nothing that is left out.
     *
     * @param  list<Place>  $places
     */
    public function standingForSheet(int $recording, array $places): Standing
    {
        $this->knowForSheets([$recording]);

        return $this->stands($recording, $places, self::LEFT_OUT);
    }

    /**
     * @param  list<Place>  $places
     * @param  array{room: bool, feel: bool, example: bool, looked: bool, kept: bool, gives: bool}  $rest
     */
    private function stands(int $recording, array $places, array $rest): Standing
    {
        $agreed = $this->agreed[$recording];

        return new Standing(
            $agreed['consents'],
            $agreed['held'],
            $this->user->isHeadCoach(),
            $places,
            $agreed['lessons'],
            $agreed['own'],
            $rest['room'],
            $rest['feel'],
            $rest['example'],
            $rest['looked'],
            $rest['kept'],
            $rest['gives'],
        );
    }

    /** Whether a case of it is asked of this person at all; of an own swing nothing but a private review asks. */
    public function mayBeAsked(int $recording, bool $review): bool
    {
        $this->knowForSheets([$recording]);
        $fact = $this->agreed[$recording];

        return ($fact['consents'] || ($review && $fact['lessons'])) && $fact['held'] && $review === $fact['own'];
    }
}
