<?php

declare(strict_types=1);

namespace Core\Remark;

/** Makes the words of a remark. */
interface InWords
{
    /** @param  array<string, string>  $names  words that only the caller knows, by parameter: the name of a fault */
    public function say(Remark $remark, array $names = []): string;

    /**
     * The same as a part of another sentence: without its capital and full stop.
     *
     * @param  array<string, string>  $names
     */
    public function phrase(Remark $remark, array $names = []): string;
}
