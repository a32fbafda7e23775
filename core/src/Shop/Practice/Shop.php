<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

use UpsweptBead\Core\Base\Geometry\Mesh\MeshStore;
use UpsweptBead\Core\Base\Geometry\Mesh\NoMeshes;
use UpsweptBead\Core\Base\Units\Money;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Shop\Stock\Offcut;

/** All that a plan needs to know beyond the job: rules, catalogue, what is on the shelf, and the bottles. */
final readonly class Shop
{
    /**
     * @param  array<array-key, int>  $shelf  pieces on the shelf by stock id
     * @param  list<Bottle>  $bottles
     * @param  list<Offcut>  $offcuts  on the shelf, counted there by their ids
     */
    public function __construct(
        public string $name,
        public ShopRules $rules,
        public Catalogue $catalogue,
        public array $shelf,
        public array $bottles,
        public MeshStore $meshes = new NoMeshes,
        public Memo $memo = new NoMemo,
        public array $offcuts = [],
        public Practices $practices = new Practices,
        public Money $money = new Money,
    ) {}

    /** A shop that owns nothing yet and works by common practice. */
    public static function bare(): self
    {
        return new self('Shop', ShopRules::shipped(), Catalogue::shipped(), [], []);
    }

    /** The same shop with a place to find meshes in. */
    public function withMeshes(MeshStore $meshes): self
    {
        return new self(
            $this->name,
            $this->rules,
            $this->catalogue,
            $this->shelf,
            $this->bottles,
            $meshes,
            $this->memo,
            $this->offcuts,
            $this->practices,
            $this->money,
        );
    }

    /** The same shop with a memory of what it worked out before. */
    public function withMemo(Memo $memo): self
    {
        return new self(
            $this->name,
            $this->rules,
            $this->catalogue,
            $this->shelf,
            $this->bottles,
            $this->meshes,
            $memo,
            $this->offcuts,
            $this->practices,
            $this->money,
        );
    }

    /** The same shop by other rules. */
    public function withRules(ShopRules $rules): self
    {
        return new self(
            $this->name,
            $rules,
            $this->catalogue,
            $this->shelf,
            $this->bottles,
            $this->meshes,
            $this->memo,
            $this->offcuts,
            $this->practices,
            $this->money,
        );
    }

    /**
     * The same shop with other things on its shelf.
     *
     * @param  array<array-key, int>  $shelf  pieces by stock id
     * @param  list<Offcut>  $offcuts
     */
    public function withShelf(array $shelf, array $offcuts): self
    {
        return new self(
            $this->name,
            $this->rules,
            $this->catalogue,
            $shelf + array_fill_keys(array_map(static fn (Offcut $one): string => $one->id, $offcuts), 1),
            $this->bottles,
            $this->meshes,
            $this->memo,
            $offcuts,
            $this->practices,
            $this->money,
        );
    }

    /** @return list<Offcut> of one size of tube, straight or bent */
    public function offcutsOf(string $tubeId, bool $straight): array
    {
        return array_values(array_filter(
            $this->offcuts,
            static fn (Offcut $one): bool => $one->tubeId === $tubeId && $one->isStraight() === $straight,
        ));
    }

    public function has(string $stockId): int
    {
        return $this->shelf[$stockId] ?? 0;
    }
}
