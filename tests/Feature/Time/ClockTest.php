<?php

use App\Models\Golfer;
use App\Time\Clock;
use Illuminate\Support\Carbon;
use Psr\Clock\ClockInterface;

afterEach(fn () => Carbon::setTestNow());

it('is the machine\'s where no file is named', function () {
    $clock = new Clock(null);
    $clock->install();
    expect($clock->ahead())
        ->toBe(0.0)
        ->and(abs($clock->now()->getTimestamp() - time()))
        ->toBeLessThan(5)
        ->and(Carbon::hasTestNow())
        ->toBeFalse()
        ->and(app(ClockInterface::class))
        ->toBeInstanceOf(Clock::class);
});

it('moves now() everywhere, for as long as the file says so', function () {
    $file = tempnam(sys_get_temp_dir(), 'clock');
    (new Clock($file))->install();
    foreach (['' => 0, 'soon' => 0, '1814400' => 21 * 86400, '-3600' => -3600] as $said => $seconds) {
        file_put_contents($file, (string) $said);
        expect(abs(now()->getTimestamp() - time() - $seconds))
            ->toBeLessThan(5, (string) $said)
            ->and(abs((new Clock($file))->now()->getTimestamp() - time() - $seconds))
            ->toBeLessThan(5);
    }
    unlink($file);
    expect(abs(now()->getTimestamp() - time()))->toBeLessThan(5);
});

it('lets a consent run out', function () {
    $file = tempnam(sys_get_temp_dir(), 'clock');
    (new Clock($file))->install();
    $before = Golfer::query()->consenting()->count();
    file_put_contents($file, (string) (20 * 365 * 86400));
    expect($before)->toBeGreaterThan(0)->and(Golfer::query()->consenting()->count())->toBe(0);
    unlink($file);
});
