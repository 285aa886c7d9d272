<?php

declare(strict_types=1);

namespace App\Models;

use Core\Agreement\Study\RoundResult;
use Core\Format\Json\RoundJson;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * @property string $core_version
 * @property string $inputs_checksum
 * @property array<string, mixed> $results
 * @property Carbon $updated_at
 */
final class SittingResult extends Model
{
    protected $fillable = ['sitting_id', 'core_version', 'inputs_checksum', 'results'];

    private ?RoundResult $read = null;

    public function figures(): RoundResult
    {
        return $this->read ??= RoundJson::read($this->results);
    }

    /** Whether it is written as this release writes it; what is not is made anew from the same inputs. */
    public function isOfThisFormat(): bool
    {
        return ($this->results['version'] ?? 1) === RoundJson::VERSION;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['results' => 'array'];
    }
}
