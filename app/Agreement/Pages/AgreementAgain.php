<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\KeptFigures;
use App\Agreement\SecondLooks;
use App\Models\Sitting;
use App\Models\SittingCase;
use Core\Agreement\Figure;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\SecondLook;
use Core\Agreement\Study\SecondLookStudy;
use Core\Codebook\Codebook;
use Core\Number\Written;
use Illuminate\Database\Eloquent\Collection;

/**
 * What the same people called twice: of cases that came back unannounced, and of cases they looked at once more with
 * the ball and the numbers.
 *
 * @phpstan-type LookRow array{name: string, url: ?string, calls: int, changed: Figure, scored: int, toward: int,
 *     away: int, gain: Figure}
 */
final class AgreementAgain
{
    /** So many faults are told of, those first that changed most. */
    private const FAULTS = 10;

    /**
     * @return array{rows: list<array{name: string, url: ?string, n: int, same: Figure, kappa: Figure}>,
     *     cases: list<array{name: string, url: string}>}|null null where nothing came back
     */
    public static function repeats(Sitting $round, KeptFigures $kept, RaterNames $raters): ?array
    {
        $cases = self::repeated($round);
        if ($cases->isEmpty()) {
            return null;
        }
        $people = array_values(array_filter(
            $kept->item()->self ?? [],
            static fn (RaterResult $p): bool => $raters->shows($p->rater),
        ));

        return [
            'rows' => array_map(static fn (RaterResult $p): array => [
                'name' => $raters->name($p->rater),
                'url' => route('agreement.person', [$round, RaterNames::id($p->rater)]),
                'n' => $p->n,
                'same' => $p->figures['percent_agreement'],
                'kappa' => $p->figures['cohen_kappa'],
            ], $people),
            'cases' => array_values($cases->map(static fn (SittingCase $c): array => [
                'name' => $c->called(),
                'url' => route('agreement.case', [$round, $c]),
            ])->all()),
        ];
    }

    /**
     * @return array{finding: string, rows: list<LookRow>, faults: list<LookRow>}|null null where nobody looked again
     */
    public static function secondLooks(Sitting $round, RaterNames $raters, Codebook $codebook): ?array
    {
        $pairs = $round->reveals ? SecondLooks::pairs($round) : [];
        if ($pairs === []) {
            return null;
        }
        $study = new SecondLookStudy($pairs);
        $all = $study->all();

        return [
            'finding' => self::finding($all),
            'rows' => array_map(static fn (SecondLook $l): array => self::row(
                $l,
                $raters->name($l->name),
                route('agreement.person', [$round, RaterNames::id($l->name)]),
            ), $study->by('rater')),
            'faults' => array_map(static fn (SecondLook $l): array => self::row(
                $l,
                $codebook->faults[$l->name]->name ?? $l->name,
                route('agreement.fault', [$round, $l->name]),
            ), array_slice(array_values(array_filter(
                $study->by('item'),
                static fn (SecondLook $l): bool => ($l->changed->estimate ?? 0.0) > 0.0,
            )), 0, self::FAULTS)),
        ];
    }

    /**
     * The same of one person, in sentences.
     *
     * @return list<string>
     */
    public static function ofPerson(Sitting $round, KeptFigures $kept, int $user): array
    {
        $out = [];
        $self = array_column($kept->item()->self ?? [], null, 'rater')["u$user"] ?? null;
        $same = $self?->figures['percent_agreement'];
        if ($self !== null && $same?->estimate !== null) {
            $out[] = (string) __($same->low === null ? 'agreement.again.same-few' : 'agreement.again.same', [
                'n' => (string) $self->n,
                'same' => Written::fixed(100.0 * $same->estimate, 0),
                'low' => Written::fixed(100.0 * ($same->low ?? 0.0), 0),
                'high' => Written::fixed(100.0 * ($same->high ?? 1.0), 0),
            ]);
        }
        $pairs = $round->reveals ? array_values(array_filter(
            SecondLooks::pairs($round),
            static fn (array $pair): bool => $pair['rater'] === "u$user",
        )) : [];
        if ($pairs !== []) {
            $all = (new SecondLookStudy($pairs))->all();
            $changed = Written::fixed($all->calls * ($all->changed->estimate ?? 0.0), 0);
            $out[] = (string) __('agreement.again.'.($changed === '0' ? 'none' : 'second'), [
                'changed' => $changed,
                'calls' => (string) $all->calls,
                'toward' => (string) $all->toward,
                'away' => (string) $all->away,
            ]);
        }

        return $out;
    }

    /** @return Collection<int, SittingCase> the first showing of each case that came back */
    private static function repeated(Sitting $round): Collection
    {
        return $round->cases()
            ->where('occasion', 1)
            ->whereNull('withdrawn_at')
            ->whereIn('case_id', $round->cases()->where('occasion', '>', 1)->select('case_id'))
            ->with(['rated', 'recording.golfer'])
            ->orderBy('id')
            ->get();
    }

    private static function finding(SecondLook $all): string
    {
        $gain = $all->gain;
        $says = match (true) {
            $gain->low !== null && $gain->low > 0.0 => 'more',
            $gain->high !== null && $gain->high < 0.0 => 'fewer',
            default => 'even',
        };

        return (string) __("agreement.second.finding.$says", [
            'changed' => Written::fixed($all->calls * ($all->changed->estimate ?? 0.0), 0),
            'calls' => Written::fixed((float) $all->calls, 0),
            'toward' => (string) $all->toward,
            'away' => (string) $all->away,
        ]);
    }

    /** @return LookRow */
    private static function row(SecondLook $l, string $name, ?string $url): array
    {
        return [
            'name' => $name,
            'url' => $url,
            'calls' => $l->calls,
            'changed' => $l->changed,
            'scored' => $l->scored,
            'toward' => $l->toward,
            'away' => $l->away,
            'gain' => $l->gain,
        ];
    }
}
