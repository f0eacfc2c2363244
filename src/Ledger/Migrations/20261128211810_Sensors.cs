using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class Sensors : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "ClimateNotes",
                columns: table => new
                {
                    Sequence = table
                        .Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    AtTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenBy = table.Column<string>(type: "TEXT", nullable: false),
                    Act = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ClimateNotes", x => x.Sequence);
                }
            );

            migrationBuilder.CreateTable(
                name: "Gateways",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    TokenHash = table.Column<string>(type: "TEXT", nullable: false),
                    MadeTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    EndedTicks = table.Column<long>(type: "INTEGER", nullable: true),
                    HeardTicks = table.Column<long>(type: "INTEGER", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Gateways", x => x.Id);
                }
            );

            // Clustered by sensor and time: a chart reads one stretch of the file.
            migrationBuilder.Sql(
                """
                CREATE TABLE "SensorReadings" (
                    "SensorNo" INTEGER NOT NULL, "At" INTEGER NOT NULL, "CentiC" INTEGER NOT NULL, "DeciHumidity" INTEGER NULL,
                    CONSTRAINT "PK_SensorReadings" PRIMARY KEY ("SensorNo", "At")
                ) WITHOUT ROWID;
                """
            );
            migrationBuilder.Sql(
                """
                CREATE TABLE "SensorSpans" (
                    "SensorNo" INTEGER NOT NULL, "Minutes" INTEGER NOT NULL, "From" INTEGER NOT NULL, "Count" INTEGER NOT NULL,
                    "MinC" INTEGER NOT NULL, "SumC" INTEGER NOT NULL, "MaxC" INTEGER NOT NULL, "HumidityCount" INTEGER NOT NULL,
                    "MinHumidity" INTEGER NOT NULL, "SumHumidity" INTEGER NOT NULL, "MaxHumidity" INTEGER NOT NULL,
                    CONSTRAINT "PK_SensorSpans" PRIMARY KEY ("SensorNo", "Minutes", "From")
                ) WITHOUT ROWID;
                """
            );

            migrationBuilder.CreateTable(
                name: "Sensors",
                columns: table => new
                {
                    No = table.Column<int>(type: "INTEGER", nullable: false).Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Sensors", x => x.No);
                }
            );

            migrationBuilder.CreateIndex(name: "IX_ClimateNotes_Id", table: "ClimateNotes", column: "Id", unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Gateways_TokenHash",
                table: "Gateways",
                column: "TokenHash",
                unique: true
            );

            migrationBuilder.CreateIndex(name: "IX_Sensors_Id", table: "Sensors", column: "Id", unique: true);

            foreach (var (name, doing) in new[] { ("changed", "UPDATE"), ("removed", "DELETE") })
            {
                migrationBuilder.Sql(
                    $"CREATE TRIGGER ClimateNotes_is_never_{name} BEFORE {doing} ON ClimateNotes BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
                );
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "ClimateNotes");

            migrationBuilder.DropTable(name: "Gateways");

            migrationBuilder.DropTable(name: "SensorReadings");

            migrationBuilder.DropTable(name: "SensorSpans");

            migrationBuilder.DropTable(name: "Sensors");
        }
    }
}
