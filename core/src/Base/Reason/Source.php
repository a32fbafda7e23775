<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/** Where a value or a formula comes from. */
final readonly class Source
{
    public function __construct(public SourceKind $kind, public string $citation = '') {}

    public static function published(string $citation): self
    {
        return new self(SourceKind::Published, $citation);
    }

    public static function memory(string $citation): self
    {
        return new self(SourceKind::Memory, $citation);
    }

    public static function trade(): self
    {
        return new self(SourceKind::Trade);
    }

    public static function geometry(): self
    {
        return new self(SourceKind::Geometry);
    }

    public function text(): string
    {
        return $this->citation === '' ? $this->kind->label() : $this->citation.' ('.$this->kind->label().')';
    }
}
