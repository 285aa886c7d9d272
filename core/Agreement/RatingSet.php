<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/**
 * Who said what of which item in which case, held as small integers. A rater may rate a case once per occasion;
 * an empty value is a missing rating. Only the first occasion of a rater on a case enters what is computed, a
 * second one is for agreement with oneself. Names are ordered bytewise, occasions as numbers where all are.
 */
final class RatingSet
{
    public const NONE = -1;

    /** @var array<string, int> */
    private array $items = [];

    /** @var array<string, int> */
    private array $cases = [];

    /** @var array<string, int> */
    private array $raters = [];

    /** @var array<string, int> */
    private array $values = ['' => 0];

    /** @var array<string, int> */
    private array $occasions = [];

    /** @var list<array<int, CallSheet>> by occasion and item */
    private array $sheets = [];

    /** @var array<int, array<int, array<int, array<int, float>>>> confidence by occasion, item, case and rater */
    private array $sure = [];

    private KeySheet $key;

    private Clustering $clusters;

    /** @param  string|null  $apart  a value like "cannot tell", which need not fit the scale */
    public function __construct(public readonly Scale $scale = Scale::Nominal, private readonly ?string $apart = null)
    {
        $this->key = new KeySheet;
        $this->clusters = new Clustering;
    }

    /**
     * @throws CoreException when the rater has rated this item of this case on this occasion before, or the value does
     * not fit the scale
     */
    public function add(
        string $case,
        string $item,
        string $rater,
        string $value,
        string $occasion = '1',
        ?float $confidence = null,
    ): void {
        $i = $this->items[$item] ??= count($this->items);
        $c = $this->cases[$case] ??= count($this->cases);
        $r = $this->raters[$rater] ??= count($this->raters);
        $o = $this->occasions[$occasion] ?? $this->newOccasion($occasion);
        $v = $this->values[$value] ?? $this->newValue($value);
        if (! ($this->sheets[$o][$i] ??= new CallSheet)->add($c, $r, $v)) {
            throw AgreementException::because(
                $item === '' ? 'rated-already' : 'item-rated-already',
                rater: $rater,
                case: $case,
                item: $item,
                occasion: $occasion,
            );
        }
        if ($confidence !== null) {
            $this->sure[$o][$i][$c][$r] = $confidence;
        }
    }

    private function newOccasion(string $occasion): int
    {
        $this->sheets[] = [];

        return $this->occasions[$occasion] = count($this->occasions);
    }

    /** @throws CoreException */
    private function newValue(string $value): int
    {
        $objection = $this->objection($value);
        if ($objection !== null) {
            throw AgreementException::because($objection, value: $value);
        }

        return $this->values[$value] = count($this->values);
    }

    /** @throws CoreException when the key already has a value here, or the value does not fit the scale */
    public function addKey(string $case, string $item, string $value, ?PanelVote $vote = null): void
    {
        $objection = $this->objection($value);
        if ($objection !== null) {
            throw AgreementException::because($objection, value: $value);
        }
        $this->key->add($case, $item, $value, $vote);
    }

    /**
     * Cases of one cluster – one golfer's swings – are sampled together; a case without one is its own.
     *
     * @throws CoreException when the case is in another cluster already
     */
    public function group(string $case, string $cluster): void
    {
        $this->clusters->group($case, $cluster);
    }

    /** Why a value does not fit here, a code of AgreementException; null where it does. */
    public function objection(string $value): ?string
    {
        return $value === $this->apart ? null : $this->scale->objection($value);
    }

    public function isEmpty(): bool
    {
        return $this->sheets === [];
    }

    public function hasKey(): bool
    {
        return ! $this->key->isEmpty();
    }

    public function keyFor(string $item, string $case): ?string
    {
        return $this->key->valueFor($item, $case);
    }

    public function hasVotes(): bool
    {
        return $this->key->hasVotes();
    }

    public function voteFor(string $item, string $case): ?PanelVote
    {
        return $this->key->voteFor($item, $case);
    }

    /** @return list<string> */
    public function items(): array
    {
        return self::ordered(array_keys($this->items));
    }

    /**
     * What these raters said of these items, without anything else.
     *
     * @param  list<string>  $items
     * @param  list<string>  $raters
     *
     * @throws CoreException
     */
    public function only(array $items, array $raters): self
    {
        [$items, $raters] = [array_flip($items), array_flip($raters)];

        return $this->filtered(
            static fn (string $case, string $item, string $rater): bool => isset($items[$item], $raters[$rater]),
        );
    }

    /**
     * The ratings that are kept, as if nothing else had been said; without the key.
     *
     * @param  \Closure(string, string, string, string): bool  $keep  of case, item, rater and occasion
     *
     * @throws CoreException
     */
    public function filtered(\Closure $keep): self
    {
        $out = new self($this->scale, $this->apart);
        $out->clusters = clone $this->clusters;
        [$cases, $raters, $values] = [array_keys($this->cases), $this->raterNames(), $this->valueNames()];
        foreach ($this->occasions as $occasion => $o) {
            foreach ($this->items as $item => $i) {
                $sheet = $this->sheets[$o][$i] ?? new CallSheet;
                foreach ($sheet->rows() as $c => $row) {
                    $case = (string) $cases[$c];
                    foreach ($sheet->read($row) as $r => $v) {
                        $said = $values[$v] ?? null;
                        if ($said !== null && $keep($case, (string) $item, $raters[$r], (string) $occasion)) {
                            $sure = $this->sure[$o][$i][$c][$r] ?? null;
                            $out->add($case, (string) $item, $raters[$r], $said, (string) $occasion, $sure);
                        }
                    }
                }
            }
        }

        return $out;
    }

    /**
     * What one rater said on one occasion, and how surely.
     *
     * @return array<string, array<string, array{string, float|null}>> by case and item
     */
    public function ratingsOf(string $rater, string $occasion): array
    {
        [$o, $r] = [$this->occasions[$occasion] ?? -1, $this->raters[$rater] ?? -1];
        [$cases, $values] = [array_keys($this->cases), $this->valueNames()];
        $out = [];
        foreach ($this->items as $item => $i) {
            $sheet = $this->sheets[$o][$i] ?? new CallSheet;
            foreach ($sheet->rows() as $c => $row) {
                $said = $values[$sheet->read($row)[$r] ?? self::NONE] ?? null;
                if ($said !== null) {
                    $out[$cases[$c]][$item] = [$said, $this->sure[$o][$i][$c][$r] ?? null];
                }
            }
        }

        return $out;
    }

    /** @return list<string> all cases of all items */
    public function cases(): array
    {
        return self::ordered(array_keys($this->cases));
    }

    /** Null where it is its own. */
    public function clusterOf(string $case): ?string
    {
        return $this->clusters->of($case);
    }

    /**
     * @return list<array{string, int}> all cases of all items with the rank of their cluster, as Clustering has them
     */
    public function inClusters(): array
    {
        return $this->clusters->ranked($this->cases());
    }

    /** How many clusters the cases of all items make. */
    public function clusterCount(): int
    {
        return ($this->inClusters()[count($this->cases) - 1][1] ?? -1) + 1;
    }

    /** Whether any cluster holds more than one case. */
    public function isClustered(): bool
    {
        return ! $this->clusters->isEmpty() && $this->clusterCount() < count($this->cases);
    }

    /** @return list<string> by index */
    public function raterNames(): array
    {
        return array_map(strval(...), array_keys($this->raters));
    }

    /** @return list<string> by index; the first is the empty value */
    public function valueNames(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    public function caseIndex(string $case): int
    {
        return $this->cases[$case];
    }

    /** What counts of an item: each rater's first occasion, by case and rater; 0 is missing, NONE never rated. */
    public function first(string $item): CallSheet
    {
        $i = $this->items[$item] ?? -1;
        $sheets = [];
        foreach ($this->order() as $o) {
            $sheets[] = $this->sheets[$o][$i] ?? null;
        }
        $sheets = array_values(array_filter($sheets));
        if (count($sheets) < 2) {
            return $sheets[0] ?? new CallSheet;
        }
        $first = clone $sheets[0];
        foreach (array_slice($sheets, 1) as $later) {
            $first->fill($later);
        }

        return $first;
    }

    /**
     * How sure the raters were of what counts of an item.
     *
     * @return array<int, array<int, float>> by case index and rater index
     */
    public function confidence(string $item): array
    {
        $i = $this->items[$item] ?? null;
        $out = $seen = [];
        foreach ($i === null || $this->sure === [] ? [] : $this->order() as $o) {
            $sheet = $this->sheets[$o][$i] ?? new CallSheet;
            foreach ($sheet->rows() as $case => $row) {
                foreach ($sheet->read($row) as $r => $v) {
                    if ($v !== self::NONE && ! isset($seen[$case][$r])) {
                        $seen[$case][$r] = true;
                        if (isset($this->sure[$o][$i][$case][$r])) {
                            $out[$case][$r] = $this->sure[$o][$i][$case][$r];
                        }
                    }
                }
            }
        }

        return $out;
    }

    /**
     * First and second occasion of those who rated twice, neither missing.
     *
     * @return array<int, list<array{int, int, int}>> case, value and value index by rater index
     */
    public function repeats(string $item): array
    {
        $i = $this->items[$item] ?? null;
        if ($i === null || count($this->occasions) < 2) {
            return [];
        }
        $seen = [];
        foreach ($this->order() as $o) {
            $sheet = $this->sheets[$o][$i] ?? new CallSheet;
            foreach ($sheet->rows() as $case => $row) {
                foreach ($sheet->read($row) as $r => $v) {
                    if ($v !== self::NONE) {
                        $seen[$r][$case][] = $v;
                    }
                }
            }
        }
        $out = [];
        foreach ($seen as $r => $byCase) {
            foreach ($byCase as $case => $values) {
                if (count($values) > 1 && $values[0] !== 0 && $values[1] !== 0) {
                    $out[$r][] = [$case, $values[0], $values[1]];
                }
            }
        }

        return $out;
    }

    /** @return list<int> occasion indices, the earliest first */
    private function order(): array
    {
        return array_map(fn (string $o): int => $this->occasions[$o], self::ordered(array_keys($this->occasions),
            true));
    }

    /**
     * @param  list<int|string>  $keys
     * @return list<string> bytewise, or as numbers where all are
     */
    public static function ordered(array $keys, bool $numbers = false): array
    {
        $keys = array_map(strval(...), $keys);
        if ($numbers && array_filter($keys, static fn (string $k): bool => ! is_numeric($k)) === []) {
            sort($keys, SORT_NUMERIC);
        } else {
            sort($keys, SORT_STRING);
        }

        return $keys;
    }
}
