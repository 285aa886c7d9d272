<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\CodebookDocument;
use Illuminate\Support\Carbon;

/**
 * A codebook as it was at one time. The one shipped with the program needs no row.
 *
 * @phpstan-import-type Document from CodebookDocument
 *
 * @property int $id
 * @property string $version
 * @property Document $document  as it was checked when it was kept; no row changes after
 * @property string $note
 * @property Carbon $created_at
 */
final class CodebookVersion extends Row
{
    public const UPDATED_AT = null;

    protected $fillable = ['version', 'document', 'note', 'created_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'array'];
    }
}
