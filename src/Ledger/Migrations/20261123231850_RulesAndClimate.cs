using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class RulesAndClimate : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "Against", table: "Entries", type: "TEXT", nullable: true);

            migrationBuilder.CreateTable(
                name: "Climate",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false).Annotation("Sqlite:Autoincrement", true),
                    Ticks = table.Column<long>(type: "INTEGER", nullable: false),
                    Zone = table.Column<string>(type: "TEXT", nullable: false),
                    TemperatureC = table.Column<double>(type: "REAL", nullable: false),
                    RelativeHumidity = table.Column<double>(type: "REAL", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Climate", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Overrides",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Override = table.Column<string>(type: "TEXT", nullable: false),
                    SetTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    EndedTicks = table.Column<long>(type: "INTEGER", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Overrides", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Pictures",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    StockId = table.Column<Guid>(type: "TEXT", nullable: false),
                    AddedTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    Width = table.Column<int>(type: "INTEGER", nullable: false),
                    Height = table.Column<int>(type: "INTEGER", nullable: false),
                    Jpeg = table.Column<byte[]>(type: "BLOB", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Pictures", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Species",
                columns: table => new
                {
                    Id = table.Column<string>(type: "TEXT", nullable: false),
                    Profile = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Species", x => x.Id);
                }
            );

            migrationBuilder.CreateIndex(
                name: "IX_Climate_Zone_Ticks",
                table: "Climate",
                columns: new[] { "Zone", "Ticks" },
                unique: true
            );

            migrationBuilder.CreateIndex(name: "IX_Overrides_EndedTicks", table: "Overrides", column: "EndedTicks");

            migrationBuilder.CreateIndex(name: "IX_Pictures_StockId", table: "Pictures", column: "StockId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "Climate");

            migrationBuilder.DropTable(name: "Overrides");

            migrationBuilder.DropTable(name: "Pictures");

            migrationBuilder.DropTable(name: "Species");

            migrationBuilder.DropColumn(name: "Against", table: "Entries");
        }
    }
}
