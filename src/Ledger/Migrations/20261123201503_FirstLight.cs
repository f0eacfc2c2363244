using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class FirstLight : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Entries",
                columns: table => new
                {
                    Sequence = table
                        .Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    StockId = table.Column<Guid>(type: "TEXT", nullable: false),
                    FromTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    ToTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenBy = table.Column<string>(type: "TEXT", nullable: false),
                    Supersedes = table.Column<Guid>(type: "TEXT", nullable: true),
                    Act = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Entries", x => x.Sequence);
                }
            );

            migrationBuilder.CreateTable(
                name: "Rooms",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false),
                    Settings = table.Column<string>(type: "TEXT", nullable: false),
                    Version = table.Column<long>(type: "INTEGER", nullable: false),
                    RulesFingerprint = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Rooms", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Standings",
                columns: table => new
                {
                    StockId = table.Column<Guid>(type: "TEXT", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    Here = table.Column<bool>(type: "INTEGER", nullable: false),
                    Rack = table.Column<string>(type: "TEXT", nullable: false),
                    Shelf = table.Column<int>(type: "INTEGER", nullable: false),
                    Slot = table.Column<int>(type: "INTEGER", nullable: false),
                    NextDueTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    Hushed = table.Column<bool>(type: "INTEGER", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Standings", x => x.StockId);
                }
            );

            migrationBuilder.CreateIndex(name: "IX_Entries_Id", table: "Entries", column: "Id", unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Entries_StockId_Sequence",
                table: "Entries",
                columns: new[] { "StockId", "Sequence" }
            );

            migrationBuilder.CreateIndex(name: "IX_Entries_Supersedes", table: "Entries", column: "Supersedes");

            migrationBuilder.CreateIndex(name: "IX_Entries_ToTicks", table: "Entries", column: "ToTicks");

            migrationBuilder.CreateIndex(
                name: "IX_Standings_Here_NextDueTicks",
                table: "Standings",
                columns: new[] { "Here", "NextDueTicks" }
            );

            migrationBuilder.CreateIndex(
                name: "IX_Standings_Here_Rack_Shelf_Slot",
                table: "Standings",
                columns: new[] { "Here", "Rack", "Shelf", "Slot" }
            );

            // The journal is append-only, whoever opens the file.
            migrationBuilder.Sql(
                "CREATE TRIGGER Entries_are_never_changed BEFORE UPDATE ON Entries BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
            );
            migrationBuilder.Sql(
                "CREATE TRIGGER Entries_are_never_removed BEFORE DELETE ON Entries BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "Entries");

            migrationBuilder.DropTable(name: "Rooms");

            migrationBuilder.DropTable(name: "Standings");
        }
    }
}
