<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Shop as ShopModel;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Shop\Practice\ShopReader;

/**
 * Changes what the shop works by. What the core does not take is refused whole; what somebody else changed meanwhile,
 * too.
 */
final readonly class ShopBook
{
    /** A shop that has said nothing yet. */
    public const BARE = [
        'document' => ['format' => ShopReader::FORMAT, 'version' => ShopReader::VERSION, 'name' => 'Shop'],
        'version' => 1,
    ];

    /**
     * @param  array<string, string>  $practices
     * @param  array<string, string>  $rules  by key; '' takes the shop's own value back
     * @param  string|null  $currency  null leaves it as it is
     * @return int|null the new version; null where it is no longer the one it was made on
     *
     * @throws ValidationException
     */
    public function change(int $version, array $practices, array $rules, ?string $currency = null): ?int
    {
        return DB::transaction(function () use ($version, $practices, $rules, $currency): ?int {
            $shop = ShopModel::query()->lockForUpdate()->first() ?? new ShopModel(self::BARE);
            if ($shop->version !== $version) {
                return null;
            }
            $document = self::changed($shop->document, $practices, $rules);
            if ($currency !== null) {
                $document['currency'] = $currency;
            }
            $faults = new Faults;
            ShopReader::read($document, $faults);
            if ($faults->all() !== []) {
                throw ValidationException::withMessages(array_map(
                    static fn (array $some): array => array_map(static fn (Fault $one): string => $one->message, $some),
                    self::byPath($faults->all()),
                ));
            }
            $shop->fill(['document' => $document, 'version' => $version + 1])->save();

            return $version + 1;
        });
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  array<string, string>  $practices
     * @param  array<string, string>  $rules
     * @return array<string, mixed>
     */
    private static function changed(array $document, array $practices, array $rules): array
    {
        $own = is_array($document['rules'] ?? null) ? $document['rules'] : [];
        foreach ($rules as $key => $text) {
            if ($text === '') {
                unset($own[$key]);
            } else {
                $own[$key] = $text;
            }
        }
        $known = is_array($document['schools'] ?? null) ? $document['schools'] : [];
        // An empty list and an empty object look alike to PHP; the reader wants the latter left out.
        unset($document['rules'], $document['schools']);

        return [
            ...$document,
            ...$own === [] ? [] : ['rules' => $own],
            ...[...$known, ...$practices] === [] ? [] : ['schools' => [...$known, ...$practices]],
        ];
    }

    /**
     * @param  list<Fault>  $faults
     * @return array<string, list<Fault>>
     */
    private static function byPath(array $faults): array
    {
        $by = [];
        foreach ($faults as $fault) {
            $by[$fault->path][] = $fault;
        }

        return $by;
    }
}
