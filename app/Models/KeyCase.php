<?php

declare(strict_types=1);

namespace App\Models;

use Core\Consensus\CaseConsensus;
use Core\Format\FormatException;
use Core\Format\Json\CaseConsensusJson;

/**
 * What a key says of a case beyond what is present.
 *
 * @property int $id
 * @property int $key_version_id
 * @property int $case_id
 * @property array<string, mixed> $body
 */
final class KeyCase extends Row
{
    public $timestamps = false;

    protected $fillable = ['key_version_id', 'case_id', 'body'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'array'];
    }

    /** @throws FormatException */
    public function toCore(): CaseConsensus
    {
        return CaseConsensusJson::read($this->body);
    }
}
