<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/** What is taken for true of which item in which case, and what stands behind it; item '' serves all items. */
final class KeySheet
{
    /** @var array<string, array<string, string>> value by item and case, '' where it is contested */
    private array $values = [];

    /** @var array<string, array<string, PanelVote>> by item and case */
    private array $votes = [];

    /** @throws CoreException when there is a value here already */
    public function add(string $case, string $item, string $value, ?PanelVote $vote): void
    {
        if (isset($this->values[$item][$case])) {
            throw AgreementException::because(
                $item === '' ? 'keyed-already' : 'item-keyed-already',
                case: $case,
                item: $item,
            );
        }
        $this->values[$item][$case] = $value;
        if ($vote !== null) {
            $this->votes[$item][$case] = $vote;
        }
    }

    public function isEmpty(): bool
    {
        return $this->values === [];
    }

    public function hasVotes(): bool
    {
        return $this->votes !== [];
    }

    public function valueFor(string $item, string $case): ?string
    {
        $value = $this->values[$item][$case] ?? $this->values[''][$case] ?? null;

        return $value === '' ? null : $value;
    }

    public function voteFor(string $item, string $case): ?PanelVote
    {
        return isset($this->values[$item][$case])
            ? $this->votes[$item][$case] ?? null
            : $this->votes[''][$case] ?? null;
    }
}
