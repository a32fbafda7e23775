<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Csv;
use App\Http\Requests\StoreEntryRequest;
use App\Http\Requests\StoreItemRequest;
use App\Http\Requests\StoresRequest;
use App\Models\Shop;
use App\Models\StoreEntryKind;
use App\Models\StoreItem;
use App\Models\User;
use App\Stores\NoneLeft;
use App\Stores\Stocktaking;
use App\Stores\StoresBook;
use App\Stores\StoresList;
use App\Workshop\Summaries;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use UpsweptBead\Core\Exchange\Files\StoresTable;

/** The stores of the shop: what there is, what came and went, what to order. */
final readonly class StoresController
{
    public function __construct(
        private StoresList $list,
        private StoresBook $book,
        private Stocktaking $stocktaking,
        private Summaries $summaries,
        private Workshop $workshop,
    ) {}

    public function index(StoresRequest $request): Response
    {
        return Inertia::render('stores/stores', [
            'shop' => $this->workshop->shop()->name,
            'find' => $request->find(),
            'kind' => $request->kind()?->value,
            'stores' => $this->list->page($request->find(), $request->kind(), $request->page()),
            'reorder' => $this->list->reorder(),
        ]);
    }

    public function entries(StoreItem $item): JsonResponse
    {
        return new JsonResponse(['entries' => $this->list->entries($item)]);
    }

    public function enter(StoreEntryRequest $request, StoreItem $item): JsonResponse
    {
        $by = self::by($request);
        $quantity = $request->quantity($item);
        $id = strtolower($request->string('id')->toString());
        try {
            match ($request->kind()) {
                StoreEntryKind::Received => $this->book->receive($item, $quantity, $by, $id, $request->note()),
                StoreEntryKind::Counted => $this->book->count($item, $quantity, $by, $id, $request->note()),
                default => $this->book->issue($item, $quantity, $request->forJob(), $by, $id, $request->note()),
            };
        } catch (NoneLeft $none) {
            return new JsonResponse(['message' => $none->getMessage(), 'errors' => ['quantity' => [$none->getMessage()]]], 409);
        }
        $this->summaries->storesChanged();

        return new JsonResponse(['item' => $this->list->one($item->id)]);
    }

    public function update(StoreItemRequest $request, StoreItem $item): JsonResponse
    {
        $item->update($request->changes());

        return new JsonResponse(['item' => $this->list->one($item->id)]);
    }

    /** A new item, or a count of a known one, typed as one line. */
    public function add(Request $request): JsonResponse
    {
        $cells = [];
        foreach (['key', 'count', 'location', 'cost', 'reorderAt', 'reorderTo', 'kind', 'name'] as $field) {
            $cell = $request->input($field) ?? '';
            $cells[] = is_string($cell) ? trim($cell) : throw ValidationException::withMessages([$field => 'must be a text']);
        }
        try {
            $row = StoresTable::row(1, $cells, $this->workshop->shop()->catalogue, $this->stocktaking->known([$cells[0]]));
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['key' => $error->getMessage()]);
        }
        $this->stocktaking->take([$row], self::by($request), 'Added');
        $this->summaries->storesChanged();

        return new JsonResponse(['item' => $this->list->one(StoreItem::query()->where('key', $row->key)->firstOrFail()->id)]);
    }

    /** A whole count as a table: all of it or, where a line cannot be used, nothing. */
    public function count(Request $request): JsonResponse
    {
        $csv = $request->input('csv');
        if (! is_string($csv)) {
            throw ValidationException::withMessages(['csv' => 'must be a text']);
        }
        try {
            $table = StoresTable::read($csv, $this->workshop->shop()->catalogue, $this->stocktaking->known(null));
        } catch (\LengthException $error) {
            throw ValidationException::withMessages(['csv' => $error->getMessage()]);
        }
        if ($table->rejected === [] && $table->rows !== []) {
            $this->stocktaking->take($table->rows, self::by($request), 'Count from a table');
            $this->summaries->storesChanged();
        }

        return new JsonResponse([
            'counted' => $table->rejected === [] ? count($table->rows) : 0,
            'rejected' => array_slice($table->rejected, 0, 50),
        ]);
    }

    /** All of it in the form that a count is read in. */
    public function csv(): StreamedResponse
    {
        $withMoney = Gate::allows('seeMoney', Shop::class);
        $rows = static function () use ($withMoney): \Generator {
            foreach (StoreItem::query()->where('kind', '<>', 'offcut')->orderBy('kind')->orderBy('key')->cursor() as $item) {
                yield [
                    $item->key, $item->on_hand, $item->location, $withMoney ? $item->cost : null, $item->reorder_at, $item->reorder_to,
                    $item->kind->value, $item->name,
                ];
            }
        };

        return Csv::download('stores.csv', ['item', 'count', 'place', 'price', 'reorder at', 'reorder to', 'kind', 'name'], $rows());
    }

    public function reorder(): StreamedResponse
    {
        return Csv::download('reorder.csv', ['item', 'name', 'order', 'unit', 'price'], $this->list->order());
    }

    private static function by(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }
}
