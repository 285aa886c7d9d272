<?php

declare(strict_types=1);

namespace App\Models;

use Core\Format\Json\RemarkJson;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Remark\Remark;

/**
 * @property int $id
 * @property string $code
 * @property float $t_s
 * @property float $uncertainty_s
 * @property StationSource $source
 * @property ?array<string, mixed> $doubt  why it is not to be trusted
 */
final class StationMark extends Row
{
    public $timestamps = false;

    protected $table = 'station_times';

    protected $fillable = ['recording_id', 'code', 't_s', 'uncertainty_s', 'source', 'doubt', 'marked_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['t_s' => 'float', 'uncertainty_s' => 'float', 'doubt' => 'array', 'source' => StationSource::class];
    }

    public function doubt(): ?Remark
    {
        return RemarkJson::readOrNull($this->doubt);
    }

    public function toCore(): StationTime
    {
        return new StationTime($this->t_s, $this->uncertainty_s, $this->source);
    }
}
