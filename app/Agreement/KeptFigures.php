<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Casts\Cell;
use App\Models\Enums\FigurePart;
use App\Models\ResultPart;
use App\Models\Sitting;
use App\Models\SittingResult;
use Core\Agreement\Profile\CaseTalk;
use Core\Agreement\Profile\FacetModel;
use Core\Agreement\Study\AdviceResult;
use Core\Agreement\Study\ArmResult;
use Core\Agreement\Study\ItemResult;
use Core\Agreement\Study\PersonResult;
use Core\Agreement\Study\RoundChange;
use Core\Agreement\Study\RoundSummary;
use Core\Agreement\Study\StationTimes;
use Core\Format\FormatException;
use Core\Format\Json\AdviceJson;
use Core\Format\Json\FacetJson;
use Core\Format\Json\PersonJson;
use Core\Format\Json\RoundJson;
use Core\Format\Json\StudyJson;
use Illuminate\Database\Eloquent\ModelNotFoundException;

/**
 * A round's figures as they are kept, read part by part. What releases before did not keep is null until the queue has
 * made it.
 */
final readonly class KeptFigures
{
    private function __construct(public SittingResult $result, private int $round)
    {
    }

    /** @throws ModelNotFoundException<SittingResult> where nothing was published */
    public static function ofRound(Sitting $round): self
    {
        return new self($round->result()->firstOrFail(), $round->id);
    }

    /** @throws FormatException */
    public function summary(): RoundSummary
    {
        return RoundJson::readSummary($this->body(FigurePart::Summary) ?? []);
    }

    /**
     * One fault, or all of them pooled.
     *
     * @throws FormatException
     */
    public function item(string $fault = ''): ?ItemResult
    {
        $body = $this->body(FigurePart::Item, $fault);

        return $body === null ? null : StudyJson::readItem($body);
    }

    /** @return list<string> the faults of which something was said */
    public function items(): array
    {
        return array_values(
            $this->result
                ->parts()
                ->where('part', FigurePart::Item)
                ->where('subject', '<>', '')
                ->orderBy('id')
                ->pluck('subject')
                ->map(Cell::text(...))
                ->all(),
        );
    }

    /**
     * @return array<string, array<string, array{int, int, int, int}>> tp, fn, fp, tn by rater and fault
     *
     * @throws FormatException
     */
    public function map(): array
    {
        return RoundJson::readMap($this->body(FigurePart::Map) ?? []);
    }

    /** @throws FormatException */
    public function arms(): ArmResult
    {
        return RoundJson::readArms($this->body(FigurePart::Arms) ?? []);
    }

    /**
     * What changed since the round before, and which that is.
     *
     * @return array{int, RoundChange}|null
     *
     * @throws FormatException
     */
    public function change(): ?array
    {
        $part = $this->result->parts()->where('part', FigurePart::Change)->first();

        return $part === null ? null : [(int) $part->subject, RoundJson::readChange($part->body)];
    }

    /**
     * @return list<StationTimes>|null
     *
     * @throws FormatException
     */
    public function times(): ?array
    {
        $body = $this->body(FigurePart::Times);

        return $body === null ? null : RoundJson::readTimes($body);
    }

    /**
     * @return list<CaseTalk>|null by place of the round, the most to talk about first
     *
     * @throws FormatException
     */
    public function talk(): ?array
    {
        $body = $this->body(FigurePart::Talk);

        return $body === null ? null : RoundJson::readTalk($body);
    }

    /** @throws FormatException */
    public function scale(): ?FacetModel
    {
        $body = $this->body(FigurePart::Scale);

        return $body === null ? null : FacetJson::read($body);
    }

    /** @throws FormatException */
    public function advice(): ?AdviceResult
    {
        $body = $this->body(FigurePart::Advice);

        return $body === null ? null : AdviceJson::read($body);
    }

    /** @throws FormatException */
    public function person(int $user): ?PersonResult
    {
        return self::ofPerson([$this->round], $user)[$this->round] ?? null;
    }

    /**
     * What rounds tell of one person; a case is called after its round.
     *
     * @param  list<int>  $rounds
     * @return array<int, PersonResult> by round, of those that keep something of this person
     *
     * @throws FormatException
     */
    public static function ofPerson(array $rounds, int $user): array
    {
        $parts = ResultPart::query()
            ->join('sitting_results', 'sitting_results.id', '=', 'result_parts.sitting_result_id')
            ->whereIn('sitting_results.sitting_id', $rounds)
            ->where('part', FigurePart::Person)
            ->where('subject', (string) $user)
            ->toBase()
            ->pluck('body', 'sitting_id');
        $out = [];
        foreach ($parts as $round => $body) {
            $out[(int) $round] = PersonJson::read(
                json_decode(Cell::text($body), true, 16, JSON_THROW_ON_ERROR),
                static fn (int $case): string => "{$round}c$case",
            );
        }

        return $out;
    }

    /** @return array<string, mixed>|null */
    private function body(FigurePart $part, string $subject = ''): ?array
    {
        return $this->result->parts()->where('part', $part)->where('subject', $subject)->first()?->body;
    }
}
