<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Models\KeyVersion;
use App\Panel\KeyInputs;

/** Before a key is relied on: made again where what it was made from is not what is stored now. */
final readonly class RefreshKey
{
    public function __construct(private BuildKey $build)
    {
    }

    /** A frozen key, and one from before inputs were summed, stay as they are. */
    public function __invoke(KeyVersion $key): KeyVersion
    {
        if (
            $key->frozen_at !== null ||
            $key->inputs_checksum === null ||
            $key->sitting->erasedAt() !== null ||
            $key->inputs_checksum === KeyInputs::checksum($key->sitting)
        ) {
            return $key;
        }

        return $this->build->now($key->sitting, $key->lens);
    }
}
